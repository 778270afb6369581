/** Lines without those that are nearly one of some others, or nearly one before them; with how many went. Each is compared when it is its turn, so that a caller may rest between. */
export async function withoutRepeats(lines: readonly string[], others: readonly string[], near: (a: string, b: string) => Promise<boolean> | boolean): Promise<{ kept: string[]; gone: number }> {
  const kept: string[] = []
  for (const line of lines) {
    let repeats = false
    for (const other of [...others, ...kept]) {
      if (await near(line, other)) {
        repeats = true
        break
      }
    }
    if (!repeats) kept.push(line)
  }
  return { kept, gone: lines.length - kept.length }
}
