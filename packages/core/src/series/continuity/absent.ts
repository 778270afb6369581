import { literal } from '../../english/whole-word.ts'
import { bareName } from '../bare-name.ts'
import { isSaid } from '../said.ts'
import { marksOf, type SeenSeries } from './seen.ts'
import type { Slip } from './slip.ts'

/** A name told by the story itself, not in speech and not of somebody only thought or spoken of. */
const isThere = (story: string, name: string): boolean => new RegExp(`(?<!\\b(?:of|about|like|than|for|without|as) )(?<![\\p{L}])${literal(name)}(?!['’]s|[\\p{L}])`, 'u').test(story.replace(/["“][^"”]*["”]/g, ' '))

/** A character that the story has in a scene and the scene's picture has not. */
export function absent(series: SeenSeries): Slip[] {
  return series.scenes.flatMap((scene, at) => {
    const told = scene.story?.cast.map(bareName) ?? []
    return [...series.parts.values()].flatMap(({ id, body }): Slip[] => {
      if (body.kind !== 'character') return []
      const names = [body.name, ...body.also].map(bareName)
      const inStory = told.some((one) => names.includes(one) || names.some((name) => name.split(' ').includes(one) || one.split(' ').includes(name)))
      const byName = [body.name, ...body.also].some((name) => /^\p{Lu}/u.test(name) && scene.story && isThere(scene.story.text, name))
      const inCast = scene.body.cast.some(({ part }) => part === id)
      if ((inStory || byName) && !inCast) return [{ kind: 'absent', scene: at, part: id, reason: `The story has ${body.name} here; the scene has not.`, fix: { label: `Put ${body.name} into the scene`, body: { ...scene.body, cast: [...scene.body.cast, { part: id, variants: [] }] } } }]
      // In the cast, but nothing of it in the text.
      const first = body.says[0]
      if (inCast && first && scene.shown.trim() && marksOf(scene.draft, id).length === 0 && !isSaid(scene.shown, first.text) && !names.some((name) => scene.shown.toLowerCase().includes(name))) return [{ kind: 'absent', scene: at, part: id, reason: `${body.name} is in the scene, but nothing in its text shows it.` }]
      return []
    })
  })
}
