import { ANYWHERE, dimension } from '../dimension.ts'

export const shadow = dimension(
  'two ways for the light and its shadows to be',
  'picture',
  [...ANYWHERE, 'medium'],
  {
    hard: 'hard|harsh|deep|strong|dramatic|black|heavy|inky|stark|crisp|sharp|dense _? shadow, hard edged shadow, chiaroscuro, raking light, tenebrist, tenebrism, shadow hard|black|sharp',
    cast: 'long|sharp|crisp|hard|stark|harsh|slanting|raking _? shadow, shadow stretch|fall|reach|slant, cast long? shadow, throw long? shadow',
    none: 'shadowless, no shadow anywhere|at all, without shadow, shadow free, no cast? shadow, flat even? light|lighting, flat on camera flash',
    hardlight: 'hard|harsh|stark|glaring|merciless|pitiless|unforgiving _? light|lighting|flash|sun|sunlight|spotlight|glare, bare bulb, hard edged light, hard light',
    softlight: 'soft|gentle|mild|tender light|lighting|daylight|illumination, soft diffused|diffuse|even|wrapping light|lighting, diffuse|diffused light|lighting|daylight|illumination, softly lit',
    bright: 'brightly|brilliantly lit, flood with _? _? light, bright as day, dazzlingly bright, blaze with light, bathe in bright|brilliant|white light, blindingly bright, brightly lit _, ablaze with light',
    dark: 'pitch black|dark, in|into total|complete|near|utter darkness, unlit, barely lit, almost|nearly dark, pitch darkness, plunge|sunk in darkness, dimly lit, no light at all, gloom, gloomy, murky dark',
    overcast: 'overcast, overcast light|sky|day|weather, thick|heavy|unbroken cloud cover, diffuse by|through cloud',
    highkey: 'high key, high key light|lighting|photograph, bright and airy, light and airy',
    lowkey: 'low key, low key light|lighting|photograph, near darkness, almost no light, everything lost? in black|shadow|darkness, lost in black|shadow|darkness, mostly in shadow',
    back: 'back lit, back light, back lighting, contre jour, lit|light from behind, light behind _, against light // silhouette, silhouetted, in silhouette, silhouette against _, pure|black|dark silhouette',
    front: 'lit evenly? from front, front lit, front|frontal light|lighting, light full on _, full front light, flat frontal flash, lit full face',
  },
  'hard none, cast none, overcast cast, highkey lowkey, back front, none lowkey, hardlight softlight, bright dark, highkey dark, lowkey bright',
  'hard dark bright cast',
)

/** How high the sun stands: its shadows tell. */
export const sunHeight = dimension(
  'two heights of the sun',
  'picture',
  ANYWHERE,
  {
    high: 'noon, mid day, high noon, noon sun|light, midday sun|light, sun stand? directly|straight|right|high? overhead, overhead sun, sun at zenith, zenith sun, sun at height',
    low: 'low|setting|rising|sinking sun, sun low, long shadow, long slanting shadow, shadow stretch|reach across|over|far, shadow of _ _? reach|stretch|lie|fall _? across|over|to, shadow _? _? reach|stretch right|far across, shadow _ _ _? reach|stretch across, last|first ray, raking sun|sunlight, slanting sun|sunlight',
  },
  'high low',
)

export const side = dimension(
  'two sides for the light to come from',
  'picture',
  ['light'],
  {
    left: 'light|sun|sunlight|lamp|glow|key|window|lit|lighting|softbox|source from _? left, light|lighting|lamp|window|softbox|source at|on _? left, left lit, left key',
    right: 'light|sun|sunlight|lamp|glow|key|window|lit|lighting|softbox|source from _? right, light|lighting|lamp|window|softbox|source at|on _? right, right lit, right key',
  },
  'left right',
)

/** Lit by one thing alone, and by another. */
export const source = dimension(
  'two lights where there is one',
  'picture',
  ['light', 'detail', 'setting', 'moment'],
  {
    onlyFlame: 'only|solely|alone lit? by one? _? {flame}, lit only|solely|just by one? _? {flame}, {flame} light only|alone, single|lone|one|sole {flame} only light, {flame} light as only light, by light of single|one|lone {flame}, {flame} only light|source, only light|source {flame}',
    onlyMoon: 'only|solely lit? by _? moon|moonlight, lit only|solely|just by _? moon|moonlight, moonlight only|alone, by moonlight alone',
    electric: 'fluorescent, neon, strobe, fluorescent|neon|strobe|studio|flood|spot light|lighting|lit|tube|glow|daylight, electric light|lamp|bulb|lighting, ring light, tube light, strip light, flash bulb, on camera flash, light bulb, headlight, led light|strip|panel',
    sun: 'bright|harsh|strong|direct|blazing|full|brilliant|noon sun|sunlight|sunshine|daylight, sun|sunlight|daylight blaze|stream|pour|flood|slant|shine|beat in|through|down|onto|over|across, sun light, sun shine, day light, broad daylight',
    warmOnly: 'only|entirely|exclusively warm|golden|amber|orange _? light|lighting|glow|tone, warm|golden|amber|orange _? light|lighting|glow|tone only|alone|throughout|everywhere',
    coldOnly: 'only|entirely|exclusively cold|cool|icy|blue|bluish _? light|lighting|glow|tone, cold|cool|icy|blue|bluish _? light|lighting|glow|tone only|alone|throughout|everywhere',
    warm: 'warm|golden|amber|orange _? light|lighting|lamplight|candlelight|glow',
    cold: 'cold|cool|icy|bluish|steely _? light|lighting|glow',
  },
  'onlyFlame electric, onlyFlame sun, onlyFlame onlyMoon, onlyMoon electric, onlyMoon sun, warmOnly coldOnly, warmOnly cold, coldOnly warm',
  'electric sun warm cold',
)
