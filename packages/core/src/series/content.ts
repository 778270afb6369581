const EMPTY = new Set('a an the of in on at by with and or to from into over under for his her its their my our is are was were very small large old young'.split(' '))
/** Words that tell one thing from another, in lower case. */
export const contentOf = (said: string): string[] => (said.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []).filter((word) => !EMPTY.has(word))
export const allContent = (said: string): string[] => (said.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []).filter((word) => !/^(?:a|an|the|of|in|on|at|by|with|and|or|to)$/.test(word))
