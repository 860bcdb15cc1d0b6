/** Words by which something is called in a sentence: short ones say too little. */
export const wordsOf = (name: string): string[] => name.split(/[^\p{L}]+/u).filter((word) => word.length > 3);

/** Whether a sentence names something by any of these words, in small letters. */
export const isNamedIn = (sentence: string, words: readonly string[]): boolean =>
  words.some((word) => sentence.toLowerCase().includes(word));
