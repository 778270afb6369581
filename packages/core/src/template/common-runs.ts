import type { Token } from './tokens.ts'

/** One token that all texts have: where in each. */
export type Shared = readonly number[]

interface Framed {
  text: string
  weight: number
  at: Shared
  /** Whether it follows the one before it directly in every text so far. */
  follows: boolean
}

/** What two sequences share in order, in runs that are worth opening: a run costs `penalty`, so that a lone “of” is no frame. */
function shared(frame: readonly Framed[], tokens: readonly Token[], penalty: number, atStart: boolean): Framed[] {
  const [n, m] = [frame.length, tokens.length]
  const width = m + 1
  // best[i][j]: of the first i and j; ended[i][j]: the same with i and j matched to each other.
  const best = new Float64Array((n + 1) * width)
  const ended = new Float64Array((n + 1) * width).fill(-Infinity)
  for (let i = 1; i <= n; i++)
    for (let j = 1; j <= m; j++) {
      const at = i * width + j
      best[at] = Math.max(best[at - width]!, best[at - 1]!)
      const [own, its] = [frame[i - 1]!, tokens[j - 1]!]
      if (own.text !== its.text) continue
      const begins = atStart && i === 1 && j === 1
      const fresh = best[at - width - 1]! - (begins ? 0 : penalty)
      const going = own.follows ? ended[at - width - 1]! : -Infinity
      ended[at] = own.weight + Math.max(fresh, going)
      if (ended[at] > best[at]!) best[at] = ended[at]
    }
  const kept: Framed[] = []
  let [i, j, within] = [n, m, false]
  while (i > 0 && j > 0) {
    const at = i * width + j
    if (within || (ended[at]! > -Infinity && best[at] === ended[at])) {
      const own = frame[i - 1]!
      const going = own.follows ? ended[at - width - 1]! : -Infinity
      const goesOn = own.weight + going === ended[at] && going > -Infinity
      kept.push({ ...own, at: [...own.at, j - 1], follows: goesOn })
      within = goesOn
      i--
      j--
    } else if (best[at] === best[at - width]) i--
    else j--
  }
  return kept.reverse()
}

/** What opening another run costs: the more texts there are, the less it takes to believe one. */
const penaltyFor = (texts: number) => (texts <= 2 ? 0.6 : texts === 3 ? 0.5 : 0.4)

/** The tokens that all sequences have in the same order, by their places in each, in runs. */
export function commonRuns(sequences: readonly (readonly Token[])[], atStart: boolean): { at: Shared; follows: boolean }[] {
  const [first = [], ...rest] = sequences
  let frame: Framed[] = first.map(({ text, weight }, i) => ({ text, weight, at: [i], follows: i > 0 }))
  for (const tokens of rest) frame = shared(frame, tokens, penaltyFor(sequences.length), atStart)
  return frame.map(({ at, follows }) => ({ at, follows }))
}
