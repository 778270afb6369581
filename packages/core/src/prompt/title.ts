const LONGEST = 60

/** A name for a prompt that has none yet: the first words of its text. */
export function titleOf(text: string): string {
  const plain = text.replace(/\s+/g, ' ').trim()
  if (!plain) return 'Untitled'
  const clause = plain.split(/(?<=\S)[,.;:](?:\s|$)/)[0] ?? plain
  if (clause.length <= LONGEST) return clause
  const cut = clause.slice(0, LONGEST)
  return `${cut.slice(0, Math.max(cut.lastIndexOf(' '), 20)).trimEnd()}…`
}
