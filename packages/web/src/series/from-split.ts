import type { Part, StorySplit } from '@idolon/contract'
import { bareName, blankPart, blankScene, type PartBody, type SceneBody } from '@idolon/core'

/** Somebody or somewhere of a story that may become a part of the series. */
export interface FoundPart {
  kind: 'character' | 'place'
  name: string
  also: string[]
  /** It is called by what it is, not by a name: “the ferryman”. */
  role: boolean
  /** Scenes it is in, by number. */
  scenes: number[]
  /** The part of the project that has this name already. */
  known?: string
}

const capital = (said: string) => said.replace(/^\p{Ll}/u, (letter) => letter.toUpperCase())
const called = ({ body }: Part, name: string) => [body.name, ...body.also].some((one) => bareName(one) === bareName(name))

/** Who and where a split story tells of, those of more scenes first. */
export function foundParts({ scenes, cast }: StorySplit, parts: readonly Part[]): FoundPart[] {
  const places = new Map<string, { name: string; scenes: number[] }>()
  scenes.forEach(({ place }, n) => {
    if (!place) return
    const one = places.get(bareName(place.text)) ?? { name: capital(bareName(place.text)), scenes: [] }
    one.scenes.push(n)
    places.set(bareName(place.text), one)
  })
  const known = (kind: FoundPart['kind'], names: readonly string[]) => {
    const part = parts.find((one) => one.body.kind === kind && names.some((name) => called(one, name)))
    return part ? { known: part.id } : {}
  }
  const people = cast.filter(({ name }) => name !== 'narrator').map(({ name, also, scenes: own }): FoundPart => ({ kind: 'character', name: capital(name), role: /^\p{Ll}/u.test(name), also: also.filter((one) => bareName(one) !== bareName(name)), scenes: own, ...known('character', [name, ...also]) }))
  const found = [...people, ...[...places.values()].map((one): FoundPart => ({ kind: 'place', ...one, role: true, also: [], ...known('place', [one.name]) }))]
  return found.sort((a, b) => (a.kind === b.kind ? b.scenes.length - a.scenes.length : a.kind === 'character' ? -1 : 1))
}

/** As much as a scene or a part holds of a text, on one line. */
const within = (said: string, most: number) => said.replace(/\s+/g, ' ').trim().slice(0, most)
/** More people than this no scene has; the others stay in its words. */
const MOST_CAST = 40

/** A part as it begins: it is called by its name, and says what role the story gives it. */
export function bodyOfFound({ kind, name, also, role }: FoundPart): PartBody {
  const says = role ? name.toLowerCase() : also.find((one) => /^\p{Ll}/u.test(one))
  return { ...blankPart(kind, within(name, 120)), also: also.slice(0, 20).map((one) => within(one, 120)), says: says ? [{ key: 'p1', text: within(says, 500) }] : [] }
}

/** The scenes of a split story, with the parts that were made of it. */
export function scenesFromSplit({ scenes, cast }: StorySplit, partOf: (kind: FoundPart['kind'], name: string) => string | undefined): { id: string; body: SceneBody; story: { start: number; end: number } }[] {
  return scenes.map(({ start, end, beat, cast: names, place, moment }) => {
    const who = names.flatMap((name) => {
      const part = partOf('character', cast.find((one) => one.name === name)?.name ?? name)
      return part ? [{ part, variants: [] }] : []
    })
    const where = place && partOf('place', place.text)
    const body: SceneBody = { ...blankScene(), beat: within(beat, 300), words: within(beat, 2_000), cast: who.filter(({ part }, i) => who.findIndex((other) => other.part === part) === i).slice(0, MOST_CAST), place: where ? { part: where, variants: [] } : null, where: where || !place ? '' : within(bareName(place.text), 300), moment: within(moment?.text ?? '', 200) }
    return { id: crypto.randomUUID(), body, story: { start, end } }
  })
}
export const sameName = (a: string, b: string): boolean => bareName(a) === bareName(b)
