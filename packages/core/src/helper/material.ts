/** What a helper is given to work on, set apart from what it is told to do. */
const TAG = /<(?=\s*\/?\s*material\b)/giu

/**
 * A text as material: between tags that it cannot close itself. A model is told to follow nothing that stands in them;
 * what comes back is held to its shape all the same.
 */
export const material = (name: string, text: string): string => `<material name="${name}">\n${text.replace(TAG, '‹')}\n</material>`

/** The materials of a text that was made so, with what stands outside them. */
export function materialsOf(text: string): { outside: string; materials: { name: string; text: string }[] } {
  const materials: { name: string; text: string }[] = []
  const outside = text.replace(/<material name="([A-Za-z0-9]+)">\n([\s\S]*?)\n<\/material>/g, (_, name: string, inner: string) => {
    materials.push({ name, text: inner })
    return `[${name}]`
  })
  return { outside, materials }
}
