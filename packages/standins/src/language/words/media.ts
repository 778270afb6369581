/** A medium with what is its own: how it is worked, and how its colours are spoken of. */
export interface MediumWords {
  said: string
  /** Other names that mean it in a request. */
  means: RegExp
  techniques: readonly string[]
}

export const MEDIA: readonly MediumWords[] = [
  { said: 'gouache painting', means: /gouache|tempera|casein|picture[- ]book|storybook|illustration/i, techniques: ['dry brush on toned paper', 'flat opaque layers', 'visible brush marks'] },
  { said: 'oil painting', means: /\boils?\b|old master|impasto/i, techniques: ['visible brushwork on coarse canvas', 'thick paint in the lights', 'soft lost edges'] },
  { said: 'watercolour painting', means: /watercolou?r|aquarelle/i, techniques: ['wet-on-wet washes on rough paper', 'granulating pigment', 'soft bleeding edges'] },
  { said: 'photograph', means: /photo|film still|snapshot|35mm|cinematic/i, techniques: ['85mm lens at f/4', 'fine film grain', 'natural film colours'] },
  { said: 'linocut', means: /linocut|lino print|woodcut|wood ?block|block print|relief print/i, techniques: ['bold carved lines', 'hand-pulled ink on fibrous paper', 'visible gouge marks'] },
  { said: 'engraving', means: /engraving|etching|drypoint|aquatint|copperplate/i, techniques: ['fine parallel hatching', 'plate tone on laid paper', 'crisp engraved lines'] },
  { said: 'charcoal drawing', means: /charcoal|pencil|graphite|chalk|crayon|drawing|sketch/i, techniques: ['smudged shading on laid paper', 'broken expressive lines', 'soft graded tones'] },
  { said: 'screen print', means: /screen ?print|poster|risograph|serigraph|flat print|vector/i, techniques: ['flat overlapping inks', 'slight misregistration', 'hard-edged shapes'] },
  { said: 'ink wash painting', means: /ink wash|sumi|brush and ink|ink painting|\bink\b/i, techniques: ['diluted ink in layered tones', 'loose brush lines', 'untouched paper for the lights'] },
  { said: 'pastel drawing', means: /pastel/i, techniques: ['blended chalky strokes', 'toned paper showing through'] },
  { said: 'paper collage', means: /collage|paper ?cut|cut paper/i, techniques: ['torn layered paper', 'visible paper edges'] },
]

/** What goes with a medium that nothing more is known of. */
export const PLAIN_TECHNIQUES = ['careful handling of edges', 'plain even finish'] as const
/** Those a request that names none may be given, the first for things that are made to be shown. */
export const USUAL = ['gouache painting', 'oil painting', 'watercolour painting', 'photograph', 'linocut', 'ink wash painting'] as const

export const mediumIn = (text: string): MediumWords | undefined => MEDIA.find(({ means }) => means.test(text))
