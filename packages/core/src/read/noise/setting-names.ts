/** The trade's words for settings, in plain form, and our keys for them. */
const NAMES: Record<string, string> = {
  aspectRatio: 'aspect ratio, aspect, ratio, format ratio, image ratio, proportions, format',
  width: 'width, w, image width',
  height: 'height, h, image height',
  size: 'size, image size, resolution, dimensions, output size, canvas size',
  count: 'count, results, images, number of images, image count, number of results, variations, versions, batch',
  seed: 'seed, random seed',
  steps: 'steps, number of steps, num steps, iterations, step count',
  guidance: 'guidance, guidance scale, prompt guidance, guidance strength, prompt strength',
}
const KEYS: ReadonlyMap<string, string> = new Map(Object.entries(NAMES).flatMap(([key, names]) => names.split(', ').map((name) => [name, key] as const)))

/** Names of settings that engines often have, whose meaning differs from one to the next: kept as typed. */
const OTHERS: ReadonlySet<string> = new Set('method, strength, style strength, variety, creativity, upscale, tile, fps, motion, noise, quality'.split(', '))

export const settingKey = (plain: string): string | undefined => KEYS.get(plain)
export const isOtherSetting = (plain: string): boolean => OTHERS.has(plain)
/** Every name, longest first, for building a pattern. */
export const SETTING_WORDS: readonly string[] = [...KEYS.keys(), ...OTHERS].sort((a, b) => b.length - a.length)
