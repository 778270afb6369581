import { Type, type Static } from '@sinclair/typebox'

/** What may stand under a picture of a sheet that goes out. */
export const Caption = Type.Union([Type.Literal('title'), Type.Literal('version'), Type.Literal('engine'), Type.Literal('seed'), Type.Literal('verdict'), Type.Literal('note')], { title: 'Caption' })
export type Caption = Static<typeof Caption>

/** What of a proof can be said in a caption. */
export interface Captioned {
  promptTitle: string
  version: number
  engine: { name: string; revision: string; simulated: boolean }
  seed: number | null
  verdict: string | null
  note: string
}

const SAID: Readonly<Record<Caption, (proof: Captioned) => string>> = {
  title: ({ promptTitle }) => promptTitle,
  version: ({ version }) => `version ${version}`,
  engine: ({ engine }) => `${engine.name} ${engine.revision}${engine.simulated ? ' (simulated)' : ''}`,
  seed: ({ seed }) => (seed === null ? '' : `seed ${seed}`),
  verdict: ({ verdict }) => verdict ?? '',
  note: ({ note }) => note,
}

/** The captions chosen, with commas; what a proof has nothing of is left out. */
export const captionOf = (proof: Captioned, captions: readonly Caption[]): string => captions.map((caption) => SAID[caption](proof)).filter(Boolean).join(', ')
