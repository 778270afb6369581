import { type Facet } from '@idolon/core'
import { headOf } from '@idolon/core/reader'
import type { Asked } from '../asked.ts'
import { knowledge } from '../tables.ts'

const PURPOSE: Readonly<Record<Facet, readonly string[]>> = {
  subject: ['Says what the picture is of; everything else is arranged around it.', 'Names what the eye is to find first.'],
  action: ['Gives the figure something to do, so that it does not just stand there.', 'Says what happens, which decides the pose.'],
  detail: ['Adds something to look at on a second glance.', 'Makes the figure this one and no other.'],
  setting: ['Says where it is, and so what fills the background.', 'Gives the scene its place.'],
  moment: ['Sets the hour or the season, which brings its own light and colours.', 'Says when, and the sky follows.'],
  framing: ['Decides how near and from where it is seen.', 'Cuts the scene: how much of it is in the picture.'],
  light: ['Says where the light comes from and how hard it is; it shapes every form.', 'Models the forms and sets the contrast.'],
  colour: ['Holds the colours of the whole together.', 'Keeps the palette from going everywhere.'],
  medium: ['Says what kind of picture it is; most of the look comes from here.', 'Chooses the medium, and with it line, edge and surface.'],
  technique: ['Says how it is made, which shows in edges and surfaces.', 'Refines the medium: how the tool was driven.'],
  mood: ['Says how it should feel; light and weather carry it.', 'Colours the whole with a feeling.'],
  lettering: ['Words that should be readable; many engines spoil them.', 'Asks for lettering in the picture.'],
}

/** What each phrase of a prompt is for, and what could go. */
export function explainTask({ given, way, habits }: Asked): { phrases: { phrase: string; purpose: string; canGo: boolean }[] } {
  const { reader, glossary } = knowledge()
  const text = given('prompt')
  const { phrases, noise } = reader.read(text)
  const seen = new Set<string>()
  const parts = [...phrases.map((phrase) => ({ start: phrase.start, phrase: phrase.text, facet: phrase.facet as Facet | undefined, kind: '' })), ...noise.filter(({ kind }) => kind !== 'label').map(({ start, end, kind }) => ({ start, phrase: text.slice(start, end).replace(/[\s,.;]+$/, ''), facet: undefined, kind: kind as string }))].sort((a, b) => a.start - b.start)
  return {
    phrases: parts
      .filter(({ phrase }) => phrase !== '')
      .map(({ phrase, facet, kind }, i) => {
        if (!facet) return { phrase, purpose: kind === 'setting' ? 'A setting; it belongs in a field, not in the text.' : kind === 'praise' ? 'Praise; it shows nothing that could be drawn.' : kind === 'leave-out' ? 'Says what is not to be shown; it belongs on the leave-out list.' : 'Speaks to somebody; an engine does not need to be asked.', canGo: true }
        const key = `${facet} ${headOf(phrase)}`
        const again = seen.has(key)
        seen.add(key)
        if (again) return { phrase, purpose: `Says the ${facet} once more; the first time is enough.`, canGo: true }
        const does = glossary.named(phrase, facet)[0]?.does
        const purpose = PURPOSE[facet][(i + way) % 2] ?? ''
        return { phrase, purpose: does && !habits.terse ? `${purpose} ${does}` : purpose, canGo: false }
      }),
  }
}
