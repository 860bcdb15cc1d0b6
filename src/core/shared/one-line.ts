/** Characters that would break a line, steer a terminal, or turn the direction of what stands around them. */
const UNSEEN = /[\u0000-\u001f\u007f-\u009f\u00ad\u061c\u200b-\u200f\u2028-\u202e\u2060-\u2069\ufeff]|\p{Surrogate}/gu;

/** A text as one line that shows everything in it: what would not be seen is written as \\u202e. */
export const oneLine = (text: string): string =>
  text.replace(UNSEEN, (found) => `\\u${found.charCodeAt(0).toString(16).padStart(4, "0")}`);
