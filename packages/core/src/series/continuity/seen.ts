import type { Draft } from '../../draft/shape.ts'
import type { Mark } from '../../draft/mark-shape.ts'
import type { PartNow } from '../compose.ts'
import type { SceneBody } from '../scene.ts'

/** What was measured of a chosen proof. */
export interface PictureSeen {
  /** Colours and their shares of the picture, 0 to 1. */
  palette: readonly { hex: string; share: number }[]
  key: 'high' | 'mid' | 'low' | null
  medium: string | null
}

/** A scene as the checks of continuity see it. */
export interface SeenScene {
  body: SceneBody
  draft: Draft
  /** The text less what is switched off. */
  shown: string
  /** The passage of the story it tells, and what was read of it; null for a scene without one. */
  story: { text: string; cast: readonly string[]; moment: string | null; carried: boolean } | null
  picture: PictureSeen | null
}

export interface SeenSeries {
  scenes: readonly SeenScene[]
  parts: ReadonlyMap<string, PartNow>
  style: string | null
}

export const named = (series: SeenSeries, part: string): string => series.parts.get(part)?.body.name ?? 'a part'

export const marksOf = (draft: Draft, part: string): (Mark & { kind: 'from' })[] => draft.marks.filter((mark): mark is Mark & { kind: 'from' } => mark.kind === 'from' && mark.source.id === part)

/** Whether a draft says a part as an older version of it has it. */
export const isBehind = (draft: Draft, { id, version }: Pick<PartNow, 'id' | 'version'>): boolean => marksOf(draft, id).some(({ source }) => (source.version ?? 1) < version)

/** Pairs of scenes that follow one another. */
export const steps = (series: SeenSeries): { before: SeenScene; now: SeenScene; at: number }[] => series.scenes.slice(1).map((now, i) => ({ before: series.scenes[i]!, now, at: i + 1 }))
