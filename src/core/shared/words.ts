/** "1 piece", "12 pieces". */
export const counted = (n: number, one: string, many: string = `${one}s`): string => `${n} ${n === 1 ? one : many}`;

/** As the beginning of a sentence. */
export const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** In the middle of a sentence. */
export const uncapitalised = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** "a, b and c". */
export const listed = (names: readonly string[]): string =>
  names.length > 1 ? `${names.slice(0, -1).join(", ")} and ${names.at(-1)}` : (names[0] ?? "");
