import { type Ranking, spreadBetween, toldApart } from './bradley-terry.ts'

const logistic = (x: number) => 1 / (1 + Math.exp(-x))
/** The chance that a normal value is below x (Abramowitz and Stegun 1964, 26.2.17; error under 1e-7). */
function below(x: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(x))
  const tail = (Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)) * t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  return x > 0 ? 1 - tail : tail
}

/** The places, the strongest first. */
export const orderOf = ({ strengths }: Ranking): number[] => strengths.map((_, i) => i).sort((i, j) => strengths[j]! - strengths[i]! || i - j)

/**
 * The two whose comparison tells most about which is best: the drop in uncertainty that its answer brings, as far as both
 * may still be the best. Which of the two stands left is the caller's to draw. Undefined for fewer than two.
 */
export function nextPair(ranking: Ranking): { pair: [number, number]; settled: boolean } | undefined {
  const order = orderOf(ranking)
  const [first, second] = order
  if (first === undefined || second === undefined) return undefined
  // How likely each is better than the one that leads, or than the second for the leader itself.
  const hope = ranking.strengths.map((strength, i) => {
    const rival = i === first ? second : first
    return below((strength - ranking.strengths[rival]!) / (spreadBetween(ranking, i, rival) || 1))
  })
  let best: { pair: [number, number]; tells: number } | undefined
  for (let i = 0; i < order.length; i++) {
    for (let j = i + 1; j < order.length; j++) {
      const p = logistic(ranking.strengths[i]! - ranking.strengths[j]!)
      const tells = Math.log1p(p * (1 - p) * spreadBetween(ranking, i, j) ** 2) * Math.sqrt(hope[i]! * hope[j]!)
      if (!best || tells > best.tells + 1e-12) best = { pair: [i, j], tells }
    }
  }
  return best && { pair: best.pair, settled: toldApart(ranking, first, second) }
}
