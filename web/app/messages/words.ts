/** The shape of some words, with any text in place of the English. */
export type Words<T> = { [K in keyof T]: T[K] extends string ? string : Words<T[K]> };
