import { labOf } from '../../picture/oklab.ts'
import type { SeenSeries } from './seen.ts'
import type { Slip } from './slip.ts'
import { hourOf } from './when.ts'

/** Fewer pictures have no middle to drift from. */
const FEWEST = 4
/** A picture is an outlier when its distance from the others is so many times the middle one (after Hampel 1974), and no less than a plain step in OKLab. */
const TIMES = 2.5
const STEP = 0.09

/** The mean colour of a palette in OKLab, by share. */
function meanOf(palette: readonly { hex: string; share: number }[]): [number, number, number] {
  const all = palette.reduce((sum, { share }) => sum + share, 0) || 1
  return palette.reduce<[number, number, number]>((sum, { hex, share }) => {
    const [l, a, b] = labOf(hex)
    return [sum[0] + (l * share) / all, sum[1] + (a * share) / all, sum[2] + (b * share) / all]
  }, [0, 0, 0])
}
const middle = (list: readonly number[]) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0

/** Colours of chosen proofs that drift from those of the series. Light and dark are the key's; here only hue and saturation count. */
export function palette(series: SeenSeries): Slip[] {
  const seen = series.scenes.flatMap(({ picture }, at) => (picture?.palette.length ? [{ at, mean: meanOf(picture.palette) }] : []))
  if (seen.length < FEWEST) return []
  const centre = [middle(seen.map(({ mean }) => mean[1])), middle(seen.map(({ mean }) => mean[2]))] as const
  const far = seen.map(({ at, mean }) => ({ at, distance: Math.hypot(mean[1] - centre[0], mean[2] - centre[1]), mean }))
  const usual = middle(far.map(({ distance }) => distance))
  return far.filter(({ distance }) => distance > STEP / 2 && distance > usual * TIMES).map(({ at, mean }) => ({ kind: 'palette' as const, scene: at, reason: `The colours of its chosen proof are ${mean[2] - centre[1] > Math.abs(mean[1] - centre[0]) ? 'yellower' : centre[1] - mean[2] > Math.abs(mean[1] - centre[0]) ? 'bluer' : mean[1] > centre[0] ? 'redder' : 'greener'} than those of the series.` }))
}

/** A chosen proof much lighter or darker than the others, where the time of day does not explain it. */
export function key(series: SeenSeries): Slip[] {
  const seen = series.scenes.flatMap(({ picture, body }, at) => (picture?.palette.length ? [{ at, light: meanOf(picture.palette)[0], dark: (hourOf(body.moment) ?? 3) >= 5 || hourOf(body.moment) === 0 }] : []))
  return [true, false].flatMap((dark) => {
    const own = seen.filter((one) => one.dark === dark)
    if (own.length < FEWEST) return []
    const centre = middle(own.map(({ light }) => light))
    const usual = middle(own.map(({ light }) => Math.abs(light - centre)))
    return own.filter(({ light }) => Math.abs(light - centre) > STEP * 1.6 && Math.abs(light - centre) > usual * TIMES).map(({ at, light }) => ({ kind: 'key' as const, scene: at, reason: `Its chosen proof is much ${light > centre ? 'lighter' : 'darker'} than the others at such a time of day.` }))
  })
}

/** A chosen proof of another kind of picture than most. */
export function medium(series: SeenSeries): Slip[] {
  const seen = series.scenes.flatMap(({ picture }, at) => (picture?.medium ? [{ at, medium: picture.medium }] : []))
  if (seen.length < FEWEST) return []
  const counts = new Map<string, number>()
  for (const one of seen) counts.set(one.medium, (counts.get(one.medium) ?? 0) + 1)
  const [most] = [...counts].sort((a, b) => b[1] - a[1])
  if (!most || most[1] < seen.length * 0.6) return []
  return seen.filter((one) => one.medium !== most[0]).map(({ at, medium: own }) => ({ kind: 'medium' as const, scene: at, reason: `Its chosen proof looks like ${own === 'photo' ? 'a photograph' : own === 'flat' ? 'flat colour' : `a ${own}`}, most look like ${most[0] === 'photo' ? 'photographs' : most[0] === 'flat' ? 'flat colour' : `${most[0]}s`}.` }))
}
