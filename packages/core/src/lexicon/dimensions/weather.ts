import { ANYWHERE, dimension, NOT_THE_FIGURE } from '../dimension.ts'

export const weather = dimension(
  'two kinds of weather',
  'picture',
  ANYWHERE,
  {
    clear: `clear sky|night|day|weather|evening|morning|heaven, clear _ sky|night, cloudless, cloudless sky|day, blue sky, bright|deep|brilliant|perfect|unbroken blue sky, unbroken blue, fine|fair weather, clear air, not cloud in _, not a cloud, sky without cloud, crystal clear air|view|day|sky|visibility, without cloud
      // bright|brilliant|dazzling|blazing sunshine|sun, sunny, sunny day, direct sun|sunlight, strong sun|sunlight|sunshine, perfect|unlimited|excellent visibility, visibility for mile, clear to horizon, see for mile, can see _ _? mile`,
    overcast: `overcast, overcast sky|light|day|weather, cloudy, cloudy sky|day, cloud cover, dense|thick|heavy|solid|unbroken|low|dark|black|grey|leaden|total|lowering|brooding _? cloud, grey|leaden|dull|lowering|sullen|pewter|slate sky, dull grey sky, sky full of cloud, sky choke|heavy|cover with|in cloud, cloud bank, bank of cloud
      // thunder head, storm cloud, thunder cloud, rain cloud, cloud gather|build|mass|roll in, grey day`,
    rain: `rain, rainy, rain storm|fall|drop|shower, raining, pouring|heavy|driving|torrential|steady|lashing|cold|thin|pelting|fine rain, down pour, drizzle, drizzly, cloud burst, deluge, monsoon, shower of rain, wet weather, rain fall|lash|beat|pour|drum|hammer|streak|slant
      // drenched street, rain soak|lash|swept|slick|streak, umbrella up, under umbrella`,
    storm: 'storm, stormy, thunder storm, tempest, tempestuous, hurricane, typhoon, cyclone, squall, raging|violent|gathering storm, storm break // lightning, thunder, fork|sheet of? lightning, storm lash|tossed|swept',
    fog: "fog, foggy, fog bound, thick|dense|heavy|rolling|sea|river|ground|low fog|mist, pea soup, peasouper, shroud|wrap|swallow|blanket|cloak|lost|drown|muffle in|by|with|under _? fog|mist, fog roll|hang|lie|creep|drift|blot, mist hide|swallow|blot, blanket of fog|mist, fog so thick // cannot see _ _? ahead",
    blizzard: 'blizzard, snow storm, white out',
    dry: 'bone dry, drought, parched earth|ground|field|soil|land, dusty road|street|ground|earth|track, without drop of rain, no rain for _',
    still: `windless, breezeless, no breeze|wind, not breath of wind|air, without breath|whisper of wind|air, breathless air|heat|calm, airless, dead calm, still air, wind still, without wind|breeze, becalmed, windless dusk|day|air|evening|morning|night, flat calm, air stand still, not leaf stir|move, no leaf stir|move, calm air, wind drop|die
      // hang limp, hang limp|still|straight down, glassy water|sea, mirror calm, glassy calm, smoke rise straight, smoke straight up, sail slack, slack sail, flag limp, limp flag|sail`,
    windy: `windy, wind swept|blown|tossed|whip|lash|bent, gust, gusty, gusty air|wind|day, strong|howling|fierce|high|brisk|stiff|gale|fresh|keen|driving|buffeting|roaring wind, stiff|fresh|strong|brisk breeze, gale, blustery, blustery day|weather|wind, breezy, squall, wind howl|roar|tear|whip|blow|rage|rip|tug|snatch|gust, whip in|by wind|gale, gust of wind, breeze tug|lift|stir|blow|ruffle, in wind|gale
      // flap|stream|billow|snap|flutter|fly|whip in wind|breeze|gale, blown horizontal|sideways|flat|about, blow horizontal|sideways|flat, coat|hair|scarf|cloak|skirt|flag|sail|washing|laundry|curtain|ribbon|dress|tie|apron|banner fly|stream|billow|flap|whip|blow|snap, hat blow away|off, inside out umbrella, umbrella blow|turn inside out, tree bend|bow|thrash|lash in|under|before wind|gale, bent double against wind, lean into wind, flag stream|snap|fly, sail full|billow|belly`,
  },
  'clear overcast, clear rain, clear storm, clear fog, clear blizzard, dry rain, still windy, still storm, still blizzard',
)

export const heat = dimension(
  'heat and cold',
  'picture',
  NOT_THE_FIGURE,
  {
    hot: `hot day|afternoon|summer|air|weather|sun|noon|evening|night, sweltering, scorching, stifling heat, tropical heat|sun, baking heat|sun, heat wave, blistering|searing|oppressive|shimmering heat|sun, heat haze, heat shimmer
      // drenched in sweat, sweating, sun bathe, sun bather, fan himself|herself|themselves, drip with sweat`,
    cold: `bitter cold, bitterly cold, freezing, freezing cold|wind|air|rain|fog|night|morning, biting|icy|arctic|bone chilling|bitter cold|wind|air, sub zero, frost, frosty, ice cold air|wind, numb with cold, hard frost, frosty morning|air|night|field
      // shiver, breath steam|visible|smoke|cloud, frozen lake|river|pond|ground|canal|field|harbour, bundled up? against cold, blizzard, snow, snowy, snow storm|fall|drift|bound, icicle, ice bound, locked in ice`,
  },
  'hot cold',
)

export const moon = dimension(
  'a moon and none',
  'picture',
  NOT_THE_FIGURE,
  { none: 'moonless, moonless night, no moon, without moon, new moon', full: 'full|huge|bright|rising|harvest|crescent|half|waxing|waning|silver moon, full round face, moon light|lit|beam|rise|shine' },
  'none full',
)

export const stars = dimension(
  'stars and none',
  'picture',
  ANYWHERE,
  { none: 'starless, no star, without star', seen: 'star, starry, star light, starlit, milky way, constellation' },
  'none seen',
  'seen',
)

export const sun = dimension(
  'a sun and none',
  'picture',
  NOT_THE_FIGURE,
  { none: 'sunless, no sun, without sun', seen: 'sun, sun light|lit|shine, sunny, sun beam|ray' },
  'none seen',
  'seen',
)

export const trees = dimension(
  'trees and none',
  'picture',
  ANYWHERE,
  { none: 'treeless, without tree, no tree in sight', seen: 'tree, forest, wood, woods, woodland, orchard, grove, <tree>' },
  'none seen',
  'seen',
)

export const lamps = dimension(
  'unlit and lit',
  'picture',
  ANYWHERE,
  { none: 'unlit street|alley|room|hall|corridor|house|village|town|city|road|path|cellar|church|window', lit: 'lamp|lantern|light|chandelier|candle _? glow|lit|burn|shine|ablaze|blaze, lamp lit, lantern lit' },
  'none lit',
  'lit none',
)

export const traffic = dimension(
  'cars and none',
  'picture',
  ANYWHERE,
  { none: 'car free, without car, traffic free', seen: '<car>, <truck>, <bus>, traffic, taxi, lorry' },
  'none seen',
  'seen',
)

export const foliage = dimension(
  'bare and in leaf',
  'picture',
  ['setting', 'detail', 'moment', 'subject'],
  {
    bare: 'leafless, bare|leafless|naked|skeletal|stripped _? tree|branch|bough|twig|wood|oak|birch|beech|elm|willow|poplar|lime|plane|orchard|hedge, tree bare|leafless|stripped',
    leafy: 'lush|dense|thick|full|rich|heavy _? foliage|leaf|canopy, in full leaf, leafy, leafy tree|branch|bough|canopy|lane|avenue|shade, lush _? tree|forest|wood|branch|orchard, green canopy, tree heavy with leaf, leaf rustle',
  },
  'bare leafy',
)
