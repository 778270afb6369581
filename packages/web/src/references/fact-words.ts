import type { ReferenceWhole } from '@idolon/contract'

const yes = (value: boolean | null | undefined, is: string, isNot: string) => (value === null || value === undefined ? undefined : value ? is : isNot)

/** Each fact in words, with the name its evidence goes by; what is not settled says so. */
export function factWords({ facts, reading }: ReferenceWhole): { fact: string; name: string; says: string | undefined }[] {
  const side = reading ? reading.side : facts?.side
  const cast = reading?.cast
  return [
    { fact: 'medium', name: 'Medium', says: reading?.medium ? { photo: 'a photograph', flat: 'a flat print', painting: 'a painting', drawing: 'a drawing', graphic: 'a graphic' }[reading.medium] : undefined },
    { fact: 'key', name: 'Key', says: facts?.key ? { high: 'high: light tones rule', mid: 'in the middle', low: 'low: dark tones rule' }[facts.key] : undefined },
    { fact: 'temperature', name: 'Temperature', says: facts?.temperature ?? undefined },
    { fact: 'mono', name: 'Colour', says: yes(facts?.mono, 'of one colour, or none', 'of several colours') },
    { fact: 'contrast', name: 'Contrast', says: facts?.contrast ? { high: 'strong', mid: 'in the middle', low: 'low' }[facts.contrast] : undefined },
    { fact: 'saturation', name: 'Saturation', says: facts?.saturation ?? undefined },
    { fact: 'cast', name: 'Cast', says: cast ? (cast === 'none' ? 'none; its greys are grey' : cast) : undefined },
    { fact: 'lightSide', name: 'Light', says: reading?.lightSide ? (reading.lightSide === 'above' ? 'from above' : `from the ${reading.lightSide}`) : undefined },
    { fact: 'lightHard', name: 'Shadows', says: yes(reading?.lightHard, 'sharp: hard light', 'soft: soft light') },
    { fact: 'focus', name: 'Depth of field', says: reading?.focus ? { shallow: 'shallow', deep: 'deep' }[reading.focus] : undefined },
    { fact: 'side', name: 'The eye goes', says: side ? { left: 'to the left', centre: 'to the middle', right: 'to the right' }[side] : undefined },
    { fact: 'horizon', name: 'Horizon', says: typeof facts?.horizon === 'number' ? `at ${Math.round(facts.horizon * 100)} % of the height` : undefined },
    { fact: 'symmetric', name: 'Symmetry', says: yes(facts?.symmetric, 'left mirrors right', 'none') },
    { fact: 'balance', name: 'Balance', says: facts?.balance ? { left: 'heavier on the left', even: 'even', right: 'heavier on the right' }[facts.balance] : undefined },
    { fact: 'thirds', name: 'Thirds', says: yes(facts?.thirds, 'the eye goes to where they cross', 'the eye goes elsewhere') },
    { fact: 'space', name: 'Room for lettering', says: facts?.space ? { top: 'at the top', bottom: 'at the bottom', left: 'on the left', right: 'on the right' }[facts.space] : undefined },
    { fact: 'pattern', name: 'Repeats', says: yes(reading ? reading.pattern : facts?.pattern, 'at even steps', 'none') },
    { fact: 'texture', name: 'Texture', says: facts?.texture ?? undefined },
    { fact: 'grain', name: 'Grain', says: yes(reading?.grain, 'over all of it', 'none') },
    { fact: 'busy', name: 'Detail', says: yes(facts?.busy, 'nearly everywhere', 'with calm about it') },
    { fact: 'shot', name: 'Shot', says: reading?.shot ? { 'close-up': 'close-up', medium: 'medium', full: 'full figure', wide: 'wide' }[reading.shot] : undefined },
    { fact: 'people', name: 'People', says: reading?.people === null || reading?.people === undefined ? undefined : reading.people === 0 ? 'none' : String(reading.people) },
    { fact: 'lettering', name: 'Lettering', says: reading ? yes(reading.lettering.present, reading.lettering.text.replaceAll('\n', ' / ') || 'some', 'none') : undefined },
  ]
}
