import { listed, TermFinder } from '../glossary/term-finder.ts'
import type { Check } from './checked.ts'
import { inText } from './finding.ts'
import { replacementOf } from './fixes.ts'

const FAR =
  /\b(?:extreme wide|very wide|extreme long|very long|wide|long|establishing|aerial|drone|satellite|panoram\p{L}*|bird['’]?s-eye)\b.{0,24}?\b(?:shot|view|vista|panorama|angle on)?|\bpanorama\b|\bpanoramic\b|\bvast\b|\bfar away\b|\bfar off\b|\bin the (?:far )?distance\b|\bdistant\b|\btiny (?:figure|person|climber|man|woman|rider|train|boat|skater|hiker)\b|\bseen from afar\b|\bfrom afar\b|\bwide landscape\b|\bfull view of the\b|\bfrom the summit\b|\bseen from across (?:the|a) \p{L}+\b|\bfar away,? an? \p{L}+|\bfrom (?:a|the) (?:great|long|far) (?:distance|way off)\b|\bminuscule (?:figure|person|man|woman|rider)\b|\bspeck\b/iu
const NEAR = /\bclose-?up\b|\bmacro\b|\bportrait\b|\bheadshot\b|\bmedium shot\b|\bhead and shoulders\b/i
/** What only shows near by: parts of a face, jewellery, stitches. */
const FINE = new TermFinder(
  listed(
    `freckle, freckles, freckled, freckled nose, freckled face, earring, earrings, silver earring, gold earring, wedding ring, finger ring, signet ring, nose ring, eyelash, eyelashes, long eyelashes, eyebrow, eyebrows, green eyes, blue eyes, brown eyes, grey eyes, dark eyes,
bright eyes, amber eyes, pupil, pupils, iris, wrinkle, wrinkles, deep wrinkles, crow's feet, dimple, dimples, tear, tears, tear on her cheek, tear on his cheek, smile, smiling, smiles, grin, grinning, grins, frown, frowning, wink, gold tooth, missing tooth, teeth, lips, lipstick, red lipstick,
stubble, scar, small scar, scarred cheek, tattoo, fingernail, fingernails, painted nails, nail polish, button, buttons, pearl buttons, brass buttons, cufflink, cufflinks, brooch, cameo, locket, pendant, necklace, bracelet, wristwatch, embroidery, embroidered, embroidered gloves, embroidered collar,
lace collar, lace cuffs, lace, stitching, stitches, monogram, engraved, engraving on the, patterned socks, shoelaces, pocket watch, spectacles, facial expression, worried expression, detailed expression, expression on his face, expression on her face, expression on its face, expressive face, detailed face, detailed faces, tattoos, intricate tattoos, stitched badge, finely stitched badge, embroidered badge, badge on his cap, badge on her cap, medal, medals, rings, fingernails, dirty fingernails, wrinkled hands, wrinkled face, callouses, hands in detail, eyelids, nostrils, beads of sweat, sweat on his brow, chipped tooth, bootlaces, rivets, cuff, cuffs, stitching on, knitted pattern, pattern on his scarf, pattern on her scarf, pattern on her dress, rosary beads, coin in his hand, coin in her hand, watch face, watch on his wrist, ring on her finger, ring on his finger, weathered face, lines on his face, lines on her face, raised eyebrow, skin texture, pores, veins, knuckles, callused hands, ink-stained fingers, spectacle frames, hairpin, ribbon in her hair`,
    true,
  ),
)

export const smallSubject: Check = (checked) => {
  const framing = checked.of('framing', 'subject', 'detail', 'setting', 'medium')
  // What lies far off in a setting is not the figure.
  const isFar = ({ facet, text }: (typeof framing)[number]) => FAR.test(facet === 'setting' || facet === 'detail' ? text.replace(/\b(?:in the (?:far )?distance|distant|far away(?!,? an? )|far off)\b/gi, '') : text)
  const far = framing.find((phrase) => isFar(phrase) && (phrase.facet !== 'medium' || /aerial|drone|panoram/i.test(phrase.text)) && !/wide[ -]?(?:angle|eyed|brim|awake|open|mouth)|long[ -](?:exposure|hair|lens|coat|dress|shadow|beard|eyelash|scarf|table|corridor)/i.test(phrase.text))
  if (!far || checked.of('framing').some(({ text }) => NEAR.test(text))) return []
  return checked
    .terms(FINE, ['subject', 'detail', 'action'])
    .filter(({ start, end, phrase }) => !/\blace\b|\bbuttons?\b/i.test(checked.said({ start, end })) || phrase.facet !== 'action')
    .map((fine) => ({
      kind: 'small-subject' as const,
      severity: 'caution' as const,
      where: inText(fine),
      with: inText(far),
      facet: fine.phrase.facet,
      ...(far.facet === 'framing' ? { fix: { label: 'Say “medium shot”', edits: [replacementOf(checked.draft, far, 'medium shot')], safe: false } } : {}),
      reason: `With “${far.text}” the figure is a few dots high; “${checked.said(fine)}” cannot be seen.`,
    }))
}
