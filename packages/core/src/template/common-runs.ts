import type { Token } from './tokens.ts'

/** One token that all texts have: where in each. */
export type Shared = readonly number[]

interface Framed {
  text: string
  weight: number
  joins: Token['joins']
  once: boolean
  at: Shared
  /** Whether it follows the one before it directly in every text so far. */
  follows: boolean
}

/** What opening another run costs: the more texts there are, the less it takes to believe one. */
const penaltyFor = (texts: number) => (texts <= 2 ? 0.6 : texts === 3 ? 0.5 : 0.4)

/** What a run that begins with a word which joins the same two things in both texts costs less. */
const JOINING = 0.6
/** The same of a word that only both texts have once: two may have one alike by chance. */
const JOINING_IN_TWO = 0.2
/** What a run costs at least, so that it is no longer cut than it must be. */
const LEAST = 0.1
/** What it is worth that a run goes on, with a word; a comma goes as well with what follows. */
const GOES_ON = 0.1
const goesOnWith = ({ text }: Framed) => (/[\p{L}\p{N}]/u.test(text) ? GOES_ON : 0)
const joinsAlike = (x: Token['joins'], y: Token['joins']): boolean => x !== undefined && y !== undefined && (x.before === y.before || x.after === y.after)

/**
 * What two sequences share in order, in runs that are worth opening: a run costs something, so that a lone “of” is no frame. One that both
 * begin or both end with costs nothing.
 */
function shared(frame: readonly Framed[], tokens: readonly Token[], texts: number): Framed[] {
  const penalty = penaltyFor(texts)
  const cost = (own: Framed, its: Token) => (joinsAlike(own.joins, its.joins) ? Math.max(LEAST, penalty - JOINING) : own.once && its.once ? Math.max(LEAST, penalty - (texts > 2 ? JOINING : JOINING_IN_TWO)) : penalty)
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
      const fresh = best[at - width - 1]! - (i === 1 && j === 1 ? 0 : cost(own, its))
      const going = own.follows ? ended[at - width - 1]! + goesOnWith(own) : -Infinity
      // A run that both end with has its cost back.
      ended[at] = own.weight + Math.max(fresh, going) + (i === n && j === m ? penalty : 0)
      if (ended[at] > best[at]!) best[at] = ended[at]
    }
  const kept: Framed[] = []
  let [i, j, within] = [n, m, false]
  while (i > 0 && j > 0) {
    const at = i * width + j
    if (within || (ended[at]! > -Infinity && best[at] === ended[at])) {
      const own = frame[i - 1]!
      const its = tokens[j - 1]!
      const fresh = best[at - width - 1]! - (i === 1 && j === 1 ? 0 : cost(own, its))
      const goesOn = own.follows && ended[at - width - 1]! + goesOnWith(own) > fresh
      kept.push({ ...own, once: own.once && its.once, joins: joinsAlike(own.joins, its.joins) ? own.joins : undefined, at: [...own.at, j - 1], follows: goesOn })
      within = goesOn
      i--
      j--
    } else if (best[at] === best[at - width]) i--
    else j--
  }
  return kept.reverse()
}

/** The tokens that all sequences have in the same order, by their places in each, in runs. */
export function commonRuns(sequences: readonly (readonly Token[])[]): { at: Shared; follows: boolean }[] {
  const [first = [], ...rest] = sequences
  let frame: Framed[] = first.map(({ text, weight, joins, once }, i) => ({ text, weight, joins, once, at: [i], follows: i > 0 }))
  for (const tokens of rest) frame = shared(frame, tokens, sequences.length)
  return frame.map(({ at, follows }) => ({ at, follows }))
}
