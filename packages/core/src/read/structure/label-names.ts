import type { Facet } from '../../facet.ts'

/** What a field's label says of its value: its facet, that it is left out, or nothing (“any”). */
export type LabelMeaning = Facet | 'leave-out' | 'any'

const NAMES: Record<LabelMeaning, string> = {
  subject: 'subject, subjects, main subject, main, who, character, main character, hero, figure, person, people, animal, creature, product, dish, object, topic, building, sitter, protagonist, model, focal point, primary subject, subject matter, what',
  action: 'action, actions, doing, doing what, pose, activity, expression, gesture, movement, gaze, body language, facial expression, what happens',
  detail: 'detail, details, secondary, secondary subject, props, prop, outfit, clothing, clothes, attire, dress, costume, wardrobe, accessories, garnish, material, materials, extras, border, additional details, other details, extra details, elements, objects, features, surface details, visual details',
  setting: 'setting, place, where, location, environment, background, backdrop, surroundings, habitat, room, surface, plate, world',
  moment: 'moment, when, time, time of day, season, weather, period, era, date, time period, weather conditions',
  framing: 'framing, composition, shot, angle, camera angle, view, viewpoint, perspective, layout, crop, shot size, shot type, orientation, pov, point of view',
  light: 'light, lighting, illumination, light source, lights',
  colour: 'colour, color, colours, colors, palette, colour palette, color palette, colour scheme, color scheme, tones, hues',
  medium: 'medium, style, art style, type, image type, genre, form, kind, art, artistic style, visual style, art form, art medium, illustration style, format of picture',
  technique: 'technique, techniques, lens, finish, film, film stock, rendering, brushwork, texture, camera settings, camera lens, technical details, focus, aperture, render, exposure',
  mood: 'mood, feeling, feel, atmosphere, emotion, vibe, emotional tone, ambience, ambiance, tone',
  lettering: 'text, lettering, words, text in image, typography, slogan, caption, inscription, text on image, wording',
  'leave-out': "leave out, leave-out, leaveout, avoid, negative, negatives, exclude, exclusions, excluded, without, no, don't include, do not include, not, not wanted, unwanted, neg",
  any: 'prompt, description, scene, scene description, image, picture, idea, concept, theme, visual, camera, title, look, positive, input, request, task, brief, how, image description, subject description, story, content, notes, note, quality, instructions, final prompt, panel, output',
}

const MEANINGS: ReadonlyMap<string, LabelMeaning> = new Map(
  (Object.entries(NAMES) as [LabelMeaning, string][]).flatMap(([meaning, names]) => names.split(', ').map((name) => [name, meaning] as const)),
)

/** A key or label in its plain form: “mainCharacter_2” is “main character”. */
export const plainLabel = (name: string): string =>
  name
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .replace(/[_-]+/g, ' ')
    .replace(/\d+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .toLowerCase()

/** What a label means; undefined for a word that is no known label. */
export const meaningOf = (name: string): LabelMeaning | undefined => MEANINGS.get(plainLabel(name)) ?? MEANINGS.get(name.toLowerCase()) ?? bySign(plainLabel(name))

/** “Negative text”, “positive description”: whatever they call what they ask for, the sign tells which it is. */
const bySign = (plain: string): LabelMeaning | undefined => {
  const [sign, noun, more] = plain.split(' ')
  if (noun === undefined || more !== undefined || noun === 'space') return undefined
  return sign === 'negative' ? 'leave-out' : sign === 'positive' ? 'any' : undefined
}
