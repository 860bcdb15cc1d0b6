/** Whether any of these words stands in a text, as a word. */
export const says = (text: string, words: readonly string[]): string | undefined =>
  words.find((word) => new RegExp(`(?<!\\p{L})${word.replace(/[-\s]+/g, "[-\\s]+")}(?!\\p{L})`, "iu").test(text));
