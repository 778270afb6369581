import { wordSet } from '../../english/word-set.ts'

/** Words that find fault. */
const BAD = wordSet('bad badly poor poorly wrong worst low lowest extra missing fused mutated mutilated malformed deformed disfigured distorted mangled broken ugly unnatural cloned duplicate crooked fewer incorrect gross normal too many cross-eyed')
/** What a fault is of in a picture of somebody, or in any picture. */
const PARTS = wordSet('finger fingers hand hands foot feet face faces eye eyes limb limbs arm arms leg legs head heads digit digits toe toes neck necks tooth teeth body bodies torso anatomy proportion proportions perspective composition quality resolution drawing drawn rendering crop cropping lighting colour colours jpeg compression')
/** What is nothing but a fault. */
const FAULTS = wordSet('watermark watermarks watermarked deformed disfigured mutilated malformed ugly blurry artefact artefacts artifact artifacts mutation mutated')
const WORD = /[\p{L}]+(?:-[\p{L}]+)*/gu

/** Whether a phrase of its own names nothing but a fault, which nobody asks for: “extra fingers”, “badly drawn hands”, “watermark”. */
export function namesAFault(said: string): boolean {
  const words = said.toLowerCase().match(WORD) ?? []
  if (words.length === 0 || words.length > 4) return false
  if (words.every((word) => FAULTS.has(word))) return true
  return words.some((word) => BAD.has(word)) && words.every((word) => BAD.has(word) || PARTS.has(word) || FAULTS.has(word)) && (words.length > 1 ? words.some((word) => PARTS.has(word) || FAULTS.has(word)) : false)
}
