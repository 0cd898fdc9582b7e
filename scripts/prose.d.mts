/** The sentences of one file of source code, in order: the line where each begins, and its text with {} for what is put in. */
export function sentencesIn(file: string, source: string): { line: number; text: string }[];
