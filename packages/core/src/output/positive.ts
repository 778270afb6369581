/** What can be said to be there so that something is not, for engines without a leave-out list. */
const WORDING: Readonly<Record<string, string>> = {
  'people, person, humans, crowd, crowds, figures': 'a deserted scene',
  'text, words, letters, lettering, writing, typography, signs, signage': 'plain unlettered surfaces',
  'blur, blurry, out of focus': 'sharp focus throughout',
  'bokeh, shallow depth of field': 'deep focus',
  'clutter, cluttered, mess': 'a tidy, uncluttered scene',
  'shadow, shadows, hard shadows, harsh shadows': 'soft shadowless light',
  'colour, color, colours, colors': 'black and white',
  'clouds, cloud': 'a clear sky',
  'fog, mist, haze': 'crisp clear air',
  'rain': 'dry weather',
  'snow': 'bare ground',
  'leaves, foliage': 'bare branches',
  'beard, beards, facial hair, moustache': 'clean-shaven faces',
  'hat, hats': 'bare heads',
  'shoes': 'bare feet',
  'smile, smiles, smiling': 'serious faces',
  'background': 'a plain white background',
  'frame, border, borders, frames': 'a picture that fills the sheet',
  'grain, noise, grainy': 'a smooth finish',
  'furniture': 'an empty room',
  'cars, car, traffic, vehicles': 'an empty road',
  'waves': 'calm water',
  'wrinkles': 'smooth skin',
  'glare, reflections, reflection': 'matt surfaces',
  'cropping, cropped, cut off, out of frame': 'the whole figure in view',
}
const table = new Map(Object.entries(WORDING).flatMap(([entries, said]) => entries.split(', ').map((entry) => [entry, said] as const)))

/** What to say instead of leaving something out; undefined where only leaving it out will do. */
export const positiveFor = (entry: string): string | undefined => table.get(entry.trim().toLowerCase())
