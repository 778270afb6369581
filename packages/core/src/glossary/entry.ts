import { type Static, Type } from '@sinclair/typebox'
import { Facet } from '../facet.ts'

const name = (description: string) => Type.String({ minLength: 1, maxLength: 80, pattern: '\\S', description })
const names = (description: string) => Type.Optional(Type.Array(name('A few words.'), { maxItems: 40, description }))

/** A term of the glossary, as the shipped files, a project's own terms and an exported file have it. */
export const GlossaryEntry = Type.Object(
  {
    term: name('As it is written in a prompt, lower case unless it is a name.'),
    facet: Facet,
    does: Type.String({ minLength: 1, maxLength: 300, pattern: '\\S', description: 'What it does to a picture, in one plain sentence.' }),
    also: names('Other ways to write it.'),
    broader: Type.Optional(name('The term that this is a kind of.')),
    near: names('Terms that do nearly the same.'),
    excludes: names('Terms and things that cannot stand beside it in one picture.'),
    brings: names('What it commonly brings unasked, in the words of a leave-out list.'),
    instead: names('What to say where that is not wanted.'),
  },
  { title: 'GlossaryEntry', additionalProperties: false },
)
export type GlossaryEntry = Static<typeof GlossaryEntry>
