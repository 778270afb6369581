import { createReader, MAX_STORY } from '@idolon/core/reader'
import { answerTexts, badLine } from './lines.ts'
import { table } from './tables.ts'

/** `./idolon scenes`: a story split into scenes. Besides what commands.md names, each scene says what of it was carried on from an earlier one. */
export async function scenes(args: string[]): Promise<number> {
  const reader = createReader(await table('words'), await table('reader'))
  return answerTexts(
    'scenes',
    args,
    (text) => ({ story: text }),
    (given) => {
      const story = (given as { story?: unknown } | null)?.story
      if (typeof story !== 'string') throw badLine('no-story', 'The line has no "story" that is a string.')
      if (story.length > MAX_STORY) throw badLine('too-long', `A story of up to ${MAX_STORY.toLocaleString('en')} characters is split; this one has ${story.length.toLocaleString('en')}.`)
      const found = reader.scenes(story)
      return {
        scenes: found.scenes.map(({ start, end, text, cast, place, moment }) => ({
          start,
          end,
          text,
          cast,
          place: place?.text ?? null,
          moment: moment?.text ?? null,
          carried: [...(place?.carried ? ['place'] : []), ...(moment?.carried ? ['moment'] : [])],
        })),
        cast: found.cast.map(({ name, also }) => ({ name, also })),
      }
    },
  )
}
