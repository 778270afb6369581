import { ANYWHERE, dimension } from '../dimension.ts'

export const hour = dimension(
  'two hours of the day',
  'picture',
  ANYWHERE,
  {
    dawn: `dawn, day break, daylight break, sun rise, sun up, cock crow, first|earliest|dawning light, first|earliest light of day|dawn|morning, early morning, early hour of morning, break|crack of day|dawn, rising|climbing sun, sun come|climb up, sun climb, sun peep|peek|break|edge over|above _ , morning twilight, pre dawn, dawn light|glow|sky
      // dawn chorus, sun climb over _ _?, east grow pale|light, sky grow pale|light in east, early riser`,
    morning: 'morning, mid morning, late morning, forenoon, morning light|sun|sunlight, in morning // breakfast time, breakfast table',
    noon: `noon, noon day|tide|time, high noon, mid day, twelve o'clock, twelve noon, lunch time, sun at zenith|height, sun directly|straight|high? overhead, overhead sun, middle of day, noon|midday sun|light|heat|glare, zenith sun
      // high sun`,
    afternoon: 'afternoon, mid|late|early afternoon, afternoon light|sun|sunlight, tea time, one|two|three|four in afternoon',
    dusk: `dusk, sun set, sun down, night fall, twilight, gloaming, last light, last light of day|sunset|evening, setting|sinking|dying sun, sun set|sink|dip|go down, end|close of day, day's end, day end, evening fall, night fall, crepuscular, dying light of day, dusk light|sky, light fade, day fade|die, sun set|sink|drop|slip|dip behind|below|beneath|under|into _ _?
      // after glow, lamp lighting time, sunset sky|glow`,
    evening: 'evening, early|late evening, evening light|sun|sunlight',
    night: `night, mid night, night time, dead|middle|depth|dark of night, late at night, at|by night, night scene, nocturnal, nocturne, small|wee hour, witching hour, after dark|nightfall|midnight, past|at midnight, two|three|four in night, night side, all night
      // night sky, starry sky|night, starry, star light, starlit, star glitter|twinkle|shine|overhead|above|out|sparkle, sky|heaven full of star, under star|moon, under full|crescent|half|new|bright moon, beneath _? moon, beneath star, milky way, moon light, moonlit, moonless, moon rise, moon beam, full|new|crescent|half moon, pitch dark, northern lights, aurora, aurora borealis, before dawn, three|four in morning, black|starlit|night|inky|dark sky, city|street light at night, under moon, late night, early hour, constellation, moon and star`,
    sun: `day light, broad daylight, full daylight, by day, day time, day scene, bright|blazing|brilliant|glaring|full|strong|hot day light|sunlight|sunshine, midday glare
      // sun light, sunlit, sun shine, sunny, sun beam, sun drench|bathe|bake|soak|ray, shaft of sunlight, bright|blazing|hot|strong|brilliant|glaring|dazzling|scorching|baking|fierce sun, blue sky`,
    golden: 'golden hour, golden hour light',
    blue: 'blue hour, blue hour light',
  },
  `dawn noon, dawn afternoon, dawn dusk, dawn evening, dawn night, golden blue, golden dawn, blue afternoon, blue morning, morning noon, morning dusk, morning evening, morning night, morning afternoon, noon dusk, noon evening, noon night, noon golden, noon blue,
   afternoon night, dusk morning, golden night, sun night, blue noon, blue sun`,
)

export const season = dimension(
  'two seasons',
  'picture',
  ANYWHERE,
  {
    spring: `spring, early|late|first spring, spring time|tide, spring morning|day|rain|afternoon|evening|light, april, first day of spring
      // march wind, apple|cherry|plum|pear|almond blossom, in full|first? blossom, fruit tree in blossom, blossom time, snow drop, crocus, daffodil, primrose, bluebell wood, new lamb, newborn lamb, budding tree|branch|hedge, bud open, hawthorn in flower`,
    summer: `summer, mid|high|late|early summer, summer time, summer heat|sun|day|light|evening|afternoon, july, august, dog day, at height of summer
      // heat wave, firefly, poppy|sunflower|lavender field, field of poppy|sunflower|lavender, lavender in bloom, ripe|ripening peach|cherry|strawberry|corn|wheat|barley, tropical heat|sun, sweltering, scorching, baking heat, sultry, sun baked, blistering heat, haymaking, hay making, sun bathe, bathing beach, sun burnt holiday maker, strawberry time`,
    autumn: `autumn, autumnal, late|early autumn, october, november, september, fall foliage|colour|leaf, harvest time, michaelmas, autumn light|day|morning|evening|colour
      // falling|turning|russet leaf, leaf turn|fall, carpet of _? leaf, bare autumn branch, windfall, windfall apple, conker, pumpkin|grape|apple harvest, harvest moon, chestnut season, leaf drift down, fallen leaf`,
    winter: `winter, mid|deep|late|early winter, winter time|tide, wintry, winter day|morning|evening|light|sun|sky|night, january, february, december, christmas eve|day|morning, dead|depth of winter
      // icy air|wind|cold|road|street, breath steam|visible|smoke in _? cold|air|frost, build snowman, snowman, ice skate, skate on _? pond|lake|canal|river|ice, ski slope, sledge, toboggan`,
    snow: `snow, snowy, snow fall|storm|drift|bound|cover|flake|scape|bank|clad|swept|laden|dust, fresh|falling|thick|driving|powder|deep|new snow, blizzard, frost, frosty, hoar frost, icicle, knee|ankle|waist deep in snow, snow on|cover|lie|under _, first snow, frozen|iced over? _? lake|river|pond|canal|ground|fountain|waterfall|sea|harbour|stream, ice on _? lake|river|pond|canal|window|puddle, locked in ice, ice bound, sleet, snow covered _, snow on roof|branch`,
  },
  'spring summer, spring autumn, spring winter, summer autumn, summer winter, summer snow, autumn winter',
  'snow',
)
