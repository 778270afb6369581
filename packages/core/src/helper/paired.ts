/** What two ways did on the same cases. */
export interface PairedCounts {
  both: number
  /** Passed with the first and not with the second. */
  onlyFirst: number
  onlySecond: number
  neither: number
}

export interface PairedResult {
  /** Share that passed with the second, less the share with the first; -1 to 1. */
  difference: number
  /** 95 % interval of the difference. */
  low: number
  high: number
  /** Exact two-sided probability of a difference as large by chance alone. */
  p: number
}

const Z = 1.959964
/** Wilson's score interval of a share (Wilson 1927). */
function wilson(hits: number, n: number): [number, number] {
  const share = hits / n
  const middle = (share + (Z * Z) / (2 * n)) / (1 + (Z * Z) / n)
  const half = (Z / (1 + (Z * Z) / n)) * Math.sqrt((share * (1 - share)) / n + (Z * Z) / (4 * n * n))
  return [Math.max(0, middle - half), Math.min(1, middle + half)]
}

/** The exact two-sided binomial test of pairs that differ (McNemar 1947). */
function exactP(a: number, b: number): number {
  const n = a + b
  if (n === 0) return 1
  let term = 0.5 ** n
  let sum = 0
  for (let k = 0; k <= Math.min(a, b); k++) {
    sum += term
    term = (term * (n - k)) / (k + 1)
  }
  return Math.min(1, 2 * sum)
}

/** How two ways compare on the same cases, with its uncertainty: Newcombe's interval for paired shares (1998, method 10). @throws RangeError without cases. */
export function paired({ both, onlyFirst, onlySecond, neither }: PairedCounts): PairedResult {
  const n = both + onlyFirst + onlySecond + neither
  if (n === 0) throw new RangeError('There are no cases to compare.')
  const [first, second] = [(both + onlyFirst) / n, (both + onlySecond) / n]
  const [l1, u1] = wilson(both + onlyFirst, n)
  const [l2, u2] = wilson(both + onlySecond, n)
  const [row, column] = [(both + onlyFirst) * (onlySecond + neither), (both + onlySecond) * (onlyFirst + neither)]
  const raw = both * neither - onlyFirst * onlySecond
  const corrected = raw > n / 2 ? raw - n / 2 : raw < 0 ? raw : 0
  const phi = row * column === 0 ? 0 : corrected / Math.sqrt(row * column)
  const difference = second - first
  const [down2, up1, up2, down1] = [second - l2, u1 - first, u2 - second, first - l1]
  return {
    difference,
    low: Math.max(-1, difference - Math.sqrt(Math.max(0, down2 ** 2 - 2 * phi * down2 * up1 + up1 ** 2))),
    high: Math.min(1, difference + Math.sqrt(Math.max(0, up2 ** 2 - 2 * phi * up2 * down1 + down1 ** 2))),
    p: exactP(onlyFirst, onlySecond),
  }
}

/** The comparison as a sentence; `first` and `second` are what the two are called. */
export function pairedSaid(counts: PairedCounts, first: string, second: string): string {
  const n = counts.both + counts.onlyFirst + counts.onlySecond + counts.neither
  if (n === 0) return 'No case was run with both yet.'
  const { difference, low, high, p } = paired(counts)
  const [a, b] = [counts.both + counts.onlyFirst, counts.both + counts.onlySecond]
  const score = `${first} passes ${a} of ${n}, ${second} ${b}`
  if (counts.onlyFirst + counts.onlySecond === 0) return `${score}; they pass the same cases.`
  const percent = (share: number) => Math.round(share * 100)
  const range = `between ${percent(low)} and ${percent(high)} points of a hundred, at 95 %`
  if (p < 0.05) return `${score}: ${difference > 0 ? second : first} is better (p\u00A0=\u00A0${p.toFixed(3)}; the difference lies ${range}).`
  const differ = counts.onlyFirst + counts.onlySecond
  return `${score}. That may be chance (p\u00A0=\u00A0${p.toFixed(2)}): they differ on ${differ === 1 ? 'one case' : `${differ} cases`}, and more cases would tell.`
}
