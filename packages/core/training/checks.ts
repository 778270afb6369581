/** `./idolon train checks [FILE] [show]`: how the checks do on a file of check-cases; with `show`, each finding that is missed or wrong. */
import { judged } from './judge-checks.ts'

/** Wilson's interval of a share (Wilson 1927). */
function interval(hits: number, of: number): string {
  if (of === 0) return '–'
  const [z, p] = [1.96, hits / of]
  const middle = (p + (z * z) / (2 * of)) / (1 + (z * z) / of)
  const half = (z * Math.sqrt((p * (1 - p)) / of + (z * z) / (4 * of * of))) / (1 + (z * z) / of)
  return `${p.toFixed(2)} (${(middle - half).toFixed(2)}–${(middle + half).toFixed(2)})`
}

const say = (line: string) => process.stdout.write(`${line}\n`)
const [file = 'test.txt', show] = process.argv.slice(2)
const { counts, clean, quiet } = judged(file, show === 'show' ? say : undefined)
for (const [kind, { hit, missed, wrong }] of counts) say(`${kind.padEnd(18)} recall ${interval(hit, hit + missed).padEnd(18)} precision ${interval(hit, hit + wrong).padEnd(18)} of ${hit + missed}`)
say(`clean drafts without a finding ${interval(quiet, clean)} of ${clean}`)
