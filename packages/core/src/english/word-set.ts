/** The words of a list that has spaces or line ends between them. */
export const wordSet = (list: string): ReadonlySet<string> => new Set(list.split(/\s+/))
