/** Texts pasted together: paragraphs, or lines where there is only one paragraph; each once, at most `most`. */
export function textsIn(pasted: string, most: number): string[] {
  const paragraphs = pasted.split(/\n\s*\n/u).map((one) => one.trim()).filter(Boolean)
  const lines = pasted.split('\n').map((one) => one.trim()).filter(Boolean)
  return [...new Set(paragraphs.length > 1 ? paragraphs : lines)].slice(0, most)
}
