import { FACETS } from '../../facets.ts'
import { dimension, type Dimension } from './dimension.ts'

const ANYWHERE = FACETS.filter((facet) => facet !== 'lettering' && facet !== 'medium')
const NOT_THE_FIGURE = ANYWHERE.filter((facet) => facet !== 'subject' && facet !== 'action')

export const hour = dimension(
  'two hours of the day',
  ANYWHERE,
  {
    dawn: 'dawn|daybreak|sunrise|sun up|first light|break of day|(?:very )?early morning|crack of dawn|rising sun|cockcrow|sun (?:is |just )?(?:rising|coming up|climbing)(?: over \\p{L}+(?: \\p{L}+)?)?|sun rises|day (?:is )?breaking|morning twilight|predawn|sunup|cock crow|dawn chorus|daylight breaking',
    morning: '(?:mid |late )?morning(?: light| sun| sunlight)?|forenoon|breakfast time',
    noon: '(?:high )?noon(?:day|tide)?(?: sun| light| heat)?|midday(?: sun| light| heat)?|overhead sun|sun at its (?:zenith|height)|lunchtime|(?:one|two) in the afternoon|twelve o[’\u0027]clock|(?:sun )?(?:directly|straight|high) overhead sun|sun (?:directly |straight |high )?overhead|high sun|noon ?tide',
    afternoon: '(?:mid |late |early )?afternoon(?: light| sun| sunlight)?',
    dusk: 'dusk|sunset|sundown|nightfall|twilight|gloaming|last light(?: of (?:day|sunset|the day))?|setting sun|sinking sun|afterglow|sun (?:is |just )?(?:setting|sinking|going down)|sun sets|day[’\u0027]s end|end of (?:the )?day|evening falls|night falling|crepuscul\\p{L}+|sun ?(?:set)? ?behind the (?:hills|mountains|sea|rooftops)',
    evening: '(?:early |late )?evening(?: light| sun| sunlight)?',
    night: `(?:mid|at |dead of |late at )?night(?: time|time)?(?: sky)?|starry (?:sky|night)|star(?:light|lit|ry)|stars (?:glitter\\p{L}*|twinkl\\p{L}*|shin\\p{L}*|overhead|above|out)|(?:sky|heavens) full of stars|
      moon(?:light|lit|less|rise|beams?)|(?:full|new|crescent|half) moon|milky way|small hours|witching hour|under the stars|pitch dark|northern lights|aurora(?: borealis)?|(?:after|past|at) midnight|after (?:dark|nightfall)|before dawn|(?:two|three|four) in the (?:morning|night)|(?:black|starlit|night|inky) sky|night scene|nocturn(?:e|al)(?: scene)?|by night|late night|wee hours|early hours|dark of night|city lights|under (?:a|the) (?:full )?moon`,
    sun: '(?:bright |blazing |hot |strong |brilliant |glaring |dazzling )?sun(?:light|lit|shine|ny|beams?|drenched|bathed|rays?)|(?:broad |bright |full )?daylight|by day|day ?time|day scene|middle of the day|sun ?baked|high noon sun|(?:blazing|scorching|glaring|baking|hot|bright) sun',
    golden: 'golden hour',
    blue: 'blue hour',
  },
  `dawn noon, dawn afternoon, dawn dusk, dawn evening, dawn night, golden blue, golden dawn, blue afternoon, blue morning, morning noon, morning dusk, morning evening, morning night, morning afternoon, noon dusk, noon evening, noon night, noon golden, noon blue,
   afternoon night, dusk morning, golden night, sun night, blue noon, blue sun`,
)

const season = dimension(
  'two seasons',
  ANYWHERE,
  {
    spring: '(?:early |late |first )?spring(?:time)?(?: blossom| morning| day| rain)?|april|apple blossom|cherry blossoms?|in (?:full |first )?blossom|springtide|snowdrops|crocuses|daffodils|new lambs|budding (?:trees|branches)',
    summer: '(?:blooming|flowering) lavender|lavender (?:fields?|in bloom)|fireflies|(?:poppy|sunflower) fields?|fields? of (?:poppies|sunflowers)|(?:mid ?|high |late |early )?summer(?:time)?(?: heat| sun| day)?|(?:ripe|ripening) (?:peaches|cherries|strawberries|corn|wheat)|heat ?wave|dog days|tropical(?: heat| sun)?|sweltering|scorching|baking heat|midsummer|july|august|sultry|sun-?baked|blistering heat',
    autumn: '(?:late |early )?autumn(?:al)?|fall (?:foliage|colou?rs|leaves)|(?:falling|turning|golden|russet) leaves|october|november|harvest time|september|bare autumn branches|windfalls|conkers|leaves (?:turning|falling)|carpet of (?:fallen |dead )?leaves|pumpkin harvest|grape harvest|michaelmas',
    winter: '(?:mid ?|deep |late |early )?winter(?:time|y|s day)?|icy (?:air|wind|cold|road|street)s?|breath (?:steaming|visible)|(?:building|build) a snowman|snowman|ice skat\\p{L}*|skating on|january|february|december|midwinter',
    snow: '(?:deep |fresh |falling |thick |driving |powder )?snow(?:y|fall|storm|drifts?|bound|covered|flakes?|scape|banks?)?|blizzard|frost(?:y|ed|bitten)?|hoarfrost|icicles?|knee deep in snow|snow (?:on|covers?|lies|under) \\p{L}+|frozen (?:\\p{L}+ )?(?:lake|river|pond|canal|ground|fountain|waterfall|sea)|snowdrifts?|sleet',
  },
  'spring summer, spring autumn, spring winter, summer autumn, summer winter, summer snow, autumn winter',
)

export const weather = dimension(
  'two kinds of weather',
  ANYWHERE,
  {
    clear: 'clear (?:\\p{L}+ )?(?:night|sk(?:y|ies))|cloudless(?: sky)?|(?:bright |deep |brilliant )?blue sk(?:y|ies)|(?:bright|brilliant|dazzling|blazing) sun(?:shine|light)?|sunny(?: day)?|not a cloud(?: in the sky)?|sky without a cloud|unbroken blue|fine weather|fair weather|crystal clear (?:air|view|views|day|sky|visibility)|(?:perfect|unlimited|excellent) visibility|direct (?:sun|sunlight)|strong sun(?:light|shine)|clear air|visibility for miles|clear (?:all the way )?to the horizon|(?:you can )?see for miles',
    overcast: '(?:dense|thick|heavy|solid|unbroken|low|dark|black|gr[ae]y|leaden|total)(?: \\p{L}+)? clouds?(?: cover)?|clouds? from \\p{L}+ to \\p{L}+|sky (?:full of|choked with|heavy with|covered (?:in|with)) clouds?|(?:heavily )?overcast(?: sky| light| day)?|(?:dull |leaden |heavy )?gr[ae]y sk(?:y|ies)|cloudy(?: sky)?|cloud cover|(?:low|heavy|thick|dark) clouds?|leaden sky|thunderheads?|storm clouds?',
    rain: '(?:pouring |heavy |driving |torrential |steady |lashing |cold |thin )?rain(?:y|storm|fall|ing|drops?)?(?: lashing)?|downpour|drizzl\\p{L}*|cloudburst|pelting rain|deluge|monsoon|drenched streets|raindrops|wet through',
    storm: '(?:thunder|raging |violent )?storm(?:y|s)?|tempest(?:uous)?|hurricane|gale|typhoon|squall|lightning',
    fog: '(?:thick |dense |heavy )?(?:fog(?:gy|bound)?|mist hides \\p{L}+)|pea soup|cannot see (?:a|ten) \\p{L}+ ahead',
    blizzard: 'blizzard|snowstorm|white ?out',
    dry: 'bone ?dry(?: \\p{L}+)?|dusty (?:road|street|ground|earth)|parched \\p{L}+|without a drop of rain',
    still: 'windless|no breeze|airless(?: \\p{L}+)?|breathless air|hang(?:s|ing)? limp|dead calm|no wind|still air|perfectly still|glassy (?:calm|water|sea)|mirror calm|not a breath of wind',
    windy: 'wind(?:y|swept|blown|s howling)|gust(?:y|s)|(?:strong|howling|fierce|high) winds?|gale|blustery|squall|whipp(?:ed|ing) (?:in|by) the (?:wind|gale)|wind (?:tossed|whipped)|(?:flapping|streaming|billowing|snapping|fluttering) in the (?:wind|breeze|gale)',
  },
  'clear overcast, clear rain, clear storm, clear fog, clear blizzard, dry rain, still windy, still storm, still blizzard',
)

export const shadow = dimension(
  'two ways for shadows to fall',
  [...ANYWHERE, 'medium'],
  {
    hard: '(?:deep|strong|dramatic|black|dark|heavy|inky)(?: edged)?(?:,? (?:hard|deep|long|black|dark))* shadows?|chiaroscuro|raking light|tenebrist light',
    hardlight: '(?:hard|harsh|stark|glaring) (?:\\p{L}+ )?(?:light|lighting|flash|sun|sunlight)|bare bulb|hard edged light',
    softlight: '(?:soft|softly|gentle) (?:diffused? |even |wrapping )?(?:light|lighting)(?! from the (?:screen|phone))|diffused? (?:light|lighting|daylight)',
    bright: '(?:brightly|brilliantly) lit|flooded with (?:brilliant |bright |white |golden )?light|flooded (?:with )?brilliant light|dazzlingly bright|blazing with light|bathed in bright light',
    dark: 'pitch black|pitch dark|in (?:total|complete|near) darkness|unlit|barely lit|almost dark',
    overcast: 'overcast(?: light| sky| day| weather)?|(?:thick|heavy|unbroken) cloud cover|diffused? (?:by|through) clouds?',
    cast: '(?:hard|sharp|crisp|harsh|stark|long)(?: edged)?(?:,? (?:hard|sharp|long|black|dark))* shadows?',
    none: '(?:completely |totally )?shadowless(?: \\p{L}+)?|no shadows? anywhere|(?:totally |completely )?flat (?:even )?(?:light|lighting)|without (?:a |any )?shadows?|shadow free',
    highkey: 'high key(?: light(?:ing)?)?|bright and airy',
    lowkey: 'low key(?: light(?:ing)?)?|near darkness|almost no light|(?:almost |nearly )?everything (?:lost )?in (?:black|shadow|darkness)|lost in (?:black|shadow|darkness)',
    back: 'back ?lit|back ?light(?:ing)?|contre jour|lit from behind|light from behind|(?:pure |black |dark )?silhouett(?:e|ed)(?: against \\p{L}+)?',
    front: '(?:evenly |brightly |fully )?lit (?:evenly )?from the front|front lit|front(?:al)? light(?:ing)?|lit from the front|flat on camera flash',
  },
  'hard none, cast none, overcast cast, highkey lowkey, back front, none lowkey, hardlight softlight, bright dark, highkey dark, lowkey bright',
)

/** From very near to very far; two steps apart cannot be one picture. */
const NEARNESS: Record<string, number> = { detail: 0, close: 1, mediumClose: 1.5, medium: 2, full: 3, wide: 4, farthest: 5 }
export const shot = dimension(
  'two distances',
  ['framing', 'medium', 'technique'],
  {
    detail: '(?:extreme|very|super) close ?up(?: shot| view| of)?|macro(?: of)?|macro (?:shot|close up|photo(?:graph)?|photography|view)|extreme macro|detail shot',
    close: '(?:(?:her|his|the|its|a) )?(?:\\p{L}+ )?(?:face|head|mouth|hands?|eyes?|eyelash(?:es)?|lips|snout|beak|petals?) fill(?:s|ing)? the (?:whole |entire )?(?:frame|picture|screen)|zoomed in|tight on (?:her|his|its|the) \\p{L}+|every pore (?:visible|shown)|(?:tight |intimate )?close ?up(?: shot| view| portrait)?|(?:tight )?head ?shot|face filling the frame|tight (?:crop|shot|portrait)|crop(?:ped)? (?:tight(?:ly)? |close(?:ly)? |in )*(?:at|to|on|around|in on) (?:the |her |his |its )?(?:shoulders?|neck|chin|face|eyes|head)|(?:only|just) (?:her|his|its|the) (?:eyes?|face|hands?|mouth) (?:fills?|in frame|in the frame)',
    mediumClose: 'medium close ?up|bust(?: shot| length)|head and shoulders(?: view| shot| portrait)?|chest up|shoulders up',
    medium: '(?:medium|mid) shot|waist up|from the waist up|half (?:length|body)(?: portrait| shot)?|three quarter length',
    full: '(?:his|her|their|the|its) (?:\\p{L}+ )?(?:boots|feet|shoes|sandals|legs|knees) (?:visible|in view|in frame|showing|shown)|full (?:body|length|figure)(?: shot| view| portrait)?|(?:whole|entire) (?:figure|body|person|outfit)|from head to (?:toe|foot)|head to heel|full shot|head to (?:toe|foot)',
    wide: '(?:whole|entire) (?!figure|body|person|outfit|frame|picture|image|scene|thing)\\p{L}+ (?:is |are )?(?:visible|in view|in frame|shown|stretching|spread|laid out|behind (?:him|her|it|them))|(?:very )?(?:wide|long|establishing)(?: establishing)? shot|wide view|landscape view|general view|seen (?:from )?(?:far|miles) (?:away|off)|(?:seen )?from (?:afar|a (?:great|long) (?:distance|way off))|(?:tiny|small|lost|a speck|a dot) in the (?:frame|distance|vast\\p{L}*|landscape)|(?:a |mere )speck|dwarfed by|zoomed out|whole (?:scene|room|building) in view',
    farthest: `(?:extreme|ultra|very) (?:wide|long)(?: shot| view)|(?:vast |sweeping |wide )?(?:\\p{L}+ )?panoram(?:a|ic)(?: view| shot| vista)?|aerial (?:view|shot|photograph|panorama)|drone (?:shot|view|photograph)|satellite view|bird['’]?s eye panorama|from (?:space|orbit)|(?:entire|whole) (?:valley|city|town|village|coast|coastline|landscape|mountain range|island|street|bay|region|country) (?:is )?(?:visible|in view|in frame|below|spread out|shown|stretching|laid out|in (?:the )?shot|in one (?:frame|view|picture))|horizon to horizon|from rim to rim`,
  },
  (a, b) => Math.abs(NEARNESS[a]! - NEARNESS[b]!) >= 2,
)

const angle = dimension(
  'two viewpoints',
  ['framing', 'action', 'technique'],
  {
    high: `high angle(?: shot| view)?|overhead(?: shot| view)?|(?:seen |viewed |shot |view )?from (?:directly |far |high )?above|birds?['’]?s? eye(?: view)?|top down(?: view)?|top view|flat lay|aerial (?:view|shot)|looking (?:straight )?down (?:on|from|at)(?! us| the camera| the viewer)|straight down|from (?:the (?:rooftop|ceiling|rafters|sky|tower|treetops)|high up|a balcony|a drone)|view from (?:high |far )?above|ceiling view|plan view|map view|looking (?:steeply )?down(?: on)?(?! at (?:us|the camera|the viewer))|(?:seen|viewed) from the (?:ceiling|roof|top)|gods? eye view|drone (?:shot|view)|(?:seen |viewed )?from (?:a|the) (?:helicopter|plane|aeroplane|balloon|air|rooftops|church tower|hilltop)`,
    low: `low angle(?: shot| view)?|(?:seen |viewed |shot |view )?from (?:directly |far )?below|worms?['’]?s? eye(?: view)?|camera (?:\\p{L}+ ){0,3}looking up|looking up from (?:the )?(?:ground|floor)|camera low(?: \\p{L}+){0,3}|(?:camera |lens |view |shot )?(?:at|from) (?:ankle|knee|floor|ground|paw|pavement|cobble|shoe|kerb|mouse) (?:height|level)|from the (?:floor|ground|gutter)|(?:lens|camera) on the (?:floor|ground|pavement)|mouse[’']s view|ant[’']s eye view|looking (?:steeply |straight )?up(?: at)?|(?:towering|looming) (?:above|over) us|seen from (?:the )?(?:ground|floor|below)|frog['’]s eye view|ground level(?: view| shot)?`,
    level: 'eye level(?: shot| view)?|at eye level|straight on(?: view)?|head on(?: view)?',
  },
  'high low, high level, low level',
)

const gaze = dimension(
  'two directions of looking',
  ['action', 'framing', 'subject', 'detail'],
  {
    viewer: '(?:look|star|gaz|glar|glanc|peer)(?:s|es|ing)? (?:\\p{L}+ ){0,2}(?:at|into|towards?|out at) (?:the |our )?(?:camera|lens|viewer|us)|(?:\\p{L}+ )?face fill(?:s|ing)? the (?:frame|picture)|(?:smil|grinn)(?:s|es|ing) at us|(?:look|star|gaz|glar|glanc|smil)(?:s|es|ing)? (?:straight |directly |right |intently |boldly )?(?:at|into|to|toward|towards) (?:the |our )?(?:camera|lens|viewer|us)|facing (?:the )?(?:camera|viewer|us)|direct (?:gaze|eye contact)|eye contact|(?:meets?|meeting) our (?:gaze|eyes)|gaze fixed on (?:the viewer|us|the camera)|lock(?:s|ing|ed) eyes with (?:us|the viewer|the camera)|eyes (?:fixed )?on (?:us|the viewer|the camera)|(?:looks|looking) us in the (?:eye|face)|star(?:es|ing) out at us|watching us|full face to (?:us|camera)',
    away: 'profile (?:portrait|view)|face (?:is )?turned (?:to|towards?) (?:the )?(?!us|camera|viewer|lens|light)\\p{L}+|(?:look|star|gaz|glanc)(?:s|es|ing)? (?:away|down|aside|at (?:the|his|her) (?:floor|ground|feet|hands))|(?:gaze|eyes) (?:is |are )?(?:lowered|averted|cast down|downcast|down|closed|shut(?: tight)?|turned away)|(?:lowered|averted|downcast|closed) (?:gaze|eyes)|(?:her |his |its )?back (?:to|towards?) (?:us|the (?:camera|viewer))|back turned|turned away|(?:seen |viewed |shot )?from behind|asleep|sleeping|eyes tightly shut|(?:look|gaz|star)(?:s|es|ing) (?:off|out (?:of|to|over)|into the distance|at the horizon|over (?:her|his) shoulder)(?: \\p{L}+){0,3}|in (?:strict |full |side )?profile|face (?:hidden|turned away|averted|buried)|head turned away|blindfold(?:ed)?|back of (?:her|his|the) head|eyes (?:covered|bandaged)',
  },
  'viewer away',
  true,
)

export const focus = dimension(
  'two depths of focus',
  ['technique', 'framing', 'setting', 'light', 'detail'],
  {
    soft: 'soft focus(?! background| backdrop)(?: throughout| everywhere)?|everything (?:is )?(?:soft|blurred|out of focus|hazy)|(?:soft |hazy |dreamy )*blur (?:all over|throughout|everywhere)|dreamy blur|blurr(?:ed|y) all over',
    tack: 'every(?: \\p{L}+){1,2} (?:tack |razor |pin |needle |crystal )?sharp|(?:tack|razor|pin|crystal|needle) sharp(?: focus| detail| everywhere)?',
    deep: `everything(?: \\p{L}+){0,8} (?:in focus|sharp|crisp|in sharp focus)|everything (?:is )?(?:in |kept )?(?:tack |pin |razor |crisp |perfect |clear )?(?:in )?(?:sharp|focus|sharp focus|crisp)|all (?:planes|layers) (?:sharp|in focus)|no blur anywhere|(?:sharp|crisp) (?:foreground|near) (?:and|to) (?:background|far)|everything (?:is )?(?:in )?(?:tack |pin |razor )?(?:sharp|focus|sharp focus)(?: from \\p{L}+ to \\p{L}+)?|(?:tack |pin |razor )?sharp (?:focus )?(?:from (?:front|foreground|near) to (?:back|background|horizon|far)|throughout|all over|everywhere)|deep (?:focus|depth of field)|(?:large|great|infinite|maximum) (?:depth of field|focus)|front to back (?:sharpness|focus)|in focus from \\p{L}+ to \\p{L}+|[fƒ]/(?:11|16|22|32|45|64)|hyperfocal(?: focus)?`,
    shallow: '(?:everything|the rest|all)(?: \\p{L}+){0,4} (?:dissolv\\p{L}+|melt\\p{L}+|blurred|lost)(?: (?:into|in) (?:an? )?(?:\\p{L}+ )?blur)?|(?:dissolving|melting|fading|thrown) into (?:an? )?(?:\\p{L}+ )?blur|(?:very |extremely |razor )?(?:shallow|thin|narrow) (?:depth of field|focus|dof)|(?:creamy |soft |smooth |heavy )?bokeh|(?:softly |heavily |creamy )?blurr(?:ed|y) (?:background|backdrop|foreground)|(?:background|backdrop) (?:softly |completely )?(?:blurred|blur|melting(?: into \\p{L}+)?|dissolv\\p{L}+|out of focus|a blur|lost in blur)|background (?:thrown|gone) out of focus|only (?:the|her|his|one) \\p{L}+ (?:is )?(?:sharp|in focus)|out of focus (?:background|backdrop)|razor thin focus|selective focus|[fƒ]/(?:0\\.95|1|1\\.\\d|2|2\\.0)(?!\\d)',
  },
  'deep shallow, soft deep, soft tack',
)

export const colourfulness = dimension(
  'colour and no colour',
  ['colour', 'medium', 'technique', 'light', 'detail'],
  {
    none: '(?:in |pure |stark )?black (?:and|&) white|monochrom(?:e|atic)|gr[ae]y ?scale|colou?rless|drained of colou?r|without colou?r|sepia(?: toned?| print| monochrome)?|all in gr[ae]y|shades of gr[ae]y',
    full: `(?:bursting|ablaze|blazing|alive|exploding|riotous|awash) with (?:\\p{L}+ ){0,2}(?:colou?r|scarlet|crimson|red|emerald|green|turquoise|blue|orange|yellow|purple|magenta|gold)(?: and \\p{L}+)?|(?:vivid|vibrant|saturated|highly saturated|bright|brilliant|garish|neon|candy|rich|lurid|psychedelic|jewel(?: like)?|riotous|bold|full|intense|all the)(?:,? (?:vivid|vibrant|saturated|bright|neon|rainbow|primary|clashing|warm|jewel))* (?:colou?rs?|hues?|tones|palette)|in (?:full|vivid|living|every) colou?r|in every (?:colou?r|hue)|colou?rful|multi ?colou?red|rainbow(?: of)?(?: \\p{L}+)? (?:colou?rs|hues|palette)|rainbow|technicolou?r|riot of colou?r|every colou?r|(?:vivid|vibrant|saturated|bright|brilliant|neon|loud|blazing)(?: \\p{L}+){1,4} (?:palette|colou?rs|hues)|(?:vivid|vibrant|bright|neon|electric|saturated|brilliant|blazing) (?:red|orange|yellow|green|turquoise|blue|pink|magenta|purple|emerald|scarlet|crimson|cobalt|teal|lime|coral|fuchsia|violet|ultramarine|vermilion|gold)s?(?:(?:,| and) \\p{L}+){0,2}`,
    pastel: '(?:soft |pale |gentle )?pastel(?: \\p{L}+)? (?:colou?rs?|palette|tones|hues|shades)|pastels',
    muted: '(?:muted|faded|washed out|subdued|dull|drab|dusty)(?:,? \\p{L}+)? (?:colou?rs?|palette|tones|hues)|desaturated(?: \\p{L}+)?',
    warm: '(?:all |entirely |strictly )?warm (?:colou?r )?(?:palette|colou?rs|tones|hues)|(?:palette|colours|tones) of (?:reds?|oranges?)(?: and (?:oranges?|golds?|reds?))?',
    cool: '(?:all |entirely |strictly )?(?:cool|cold|icy) (?:colou?r )?(?:palette|colou?rs|tones|hues)',
  },
  'none full, none pastel, muted full, pastel full, warm cool',
)

const shutter = dimension(
  'two ways to catch movement',
  ['technique', 'action', 'light', 'detail'],
  {
    long: '(?:very )?long exposure|slow shutter(?: speed)?|bulb exposure|\\d+ ?(?:second|s|min|minute) exposure|(?:motion|light|star) trails|motion blur(?:red)?|smooth(?:ed)? silky water|intentional camera movement|streaks? of (?:light|movement)|blurred (?:by|with|in) (?:movement|motion)|smeared by movement',
    short: '(?:frozen|freeze|arrested) (?:motion|frame|mid ?air|in mid ?air|mid action)|motion frozen|(?:very )?fast shutter(?: speed)?|high speed (?:flash|photograph\\p{L}*|capture)|1/(?:1000|1250|1600|2000|2500|3200|4000|5000|8000)(?: ?s(?:ec(?:ond)?)?)?|stop action|every (?:\\p{L}+ )?(?:\\p{L}+ and )?\\p{L}+ frozen(?: \\p{L}+ sharp)?|frozen (?:razor |pin |tack )?sharp|(?:caught|hanging|suspended|frozen) in mid ?(?:air|leap|step)|frozen mid \\p{L}+',
  },
  'long short',
)

/** Whether anybody is there; figures beside a deserted place are looked for by another check when this finds nothing. */
export const company = dimension(
  'alone and in company',
  ANYWHERE,
  {
    empty: '(?:completely |utterly |totally )?(?:deserted|unpeopled|uninhabited)|(?:completely |utterly )?empty (?:\\p{L}+ )?(?:streets?|square|beach|room|hall|platform|station|plaza|market|road|carriage|theatre|theater|stadium|park|corridor|ballroom|church|nave|chapel|classroom|office|restaurant|café|cafe|bar|pub|shop|gallery|museum|library|house|village|town|city|courtyard|quay|pier|harbou?r|playground|pool|stage|auditorium|arena|canteen|kitchen|factory|tram|train|bus|deck|promenade|avenue|alley|bridge|terminal|airport|lobby|dance floor|fairground|waiting room|benches|seats|pews|tables)|without a soul|not a soul(?: in sight)?|(?:no one|nobody) (?:in sight|about|around)|(?:devoid|empty) of people|abandoned and empty|nobody (?:left|there|else)|without (?:any )?(?:people|visitors|passers by)|all alone in the \\p{L}+',
    crowd: 'crowds?(?: of \\p{L}+)?|crowded|throng(?:s|ed|ing)?(?: with \\p{L}+)?|packed with (?:people|\\p{L}+ers|tourists|guests|visitors)|(?:heaving|teeming|swarming|crammed|bustling|busy) (?:with|full of) \\p{L}+|bustling|jostling(?: \\p{L}+)?|hordes(?: of \\p{L}+)?|full of (?:\\p{L}+ )?(?:people|families|children|couples|shoppers|travellers|tourists|visitors|guests|dancers|diners|drinkers|passengers|pupils|players|fans)|packed (?:tram|train|bus|carriage|hall|room|theatre|stadium|bar|pub|church|market|platform|stands?|dance floor|house)|standing room only|queue of \\p{L}+',
  },
  'empty crowd',
)

export const layout = dimension(
  'two layouts',
  ['framing'],
  {
    centred: '(?:perfectly |dead |exactly )?(?:centred|centered)(?: composition)?|dead cent(?:re|er)|(?:perfectly |strictly )?symmetrical(?: composition)?|perfect symmetry|(?:subject|figure) in the cent(?:re|er)|in the very cent(?:re|er)',
    offside: 'off cent(?:re|er)|rule of thirds|(?:left|right) of cent(?:re|er)|(?:subject|figure|person|\\p{L}+) (?:far )?(?:off |set )?(?:on|at|to) the (?:far )?(?:left|right)(?: (?:edge|third|side))?|(?:wildly )?(?:off ?balance|asymmetric(?:al)?)(?: \\p{L}+)?(?: composition| layout)?|in the (?:left|right) third',
    sparse: '(?:nothing else|a single object) in the frame|(?:minimal|minimalist|sparse|spare|uncluttered) composition|uncluttered|(?:lots|a lot|plenty|great deal) of empty space|vast (?:negative|empty) space',
    dense: '(?:cluttered|crammed|crowded|piled|overflowing) with (?:\\p{L}+ ){0,3}(?:objects|things|details|ornaments|knick ?knacks|books|clutter|trinkets|toys|figures)|(?:crowded|cluttered|busy|dense|crammed) composition|horror vacui|densely packed(?: composition)?|every inch (?:is )?filled',
  },
  'centred offside, sparse dense',
)

const hairiness = dimension(
  'two faces',
  ['subject', 'detail', 'action'],
  {
    shaven: 'clean shaven|beardless|smooth cheeked|freshly shaved',
    bearded: 'bearded|(?:long|white|gr[ae]y|full|bushy|cropped|red|black|braided|wild|thick|short|tangled|flowing|forked)(?: \\p{L}+)? (?:beard|moustache|mustache|whiskers)|stubble',
    bald: 'bald(?: headed)?|shave[nd] head|hairless',
    haired: '(?:long|curly|flowing|thick|wavy|straight|tangled|wild|braided|golden|silver|red|dark|gr[ae]y|white)(?: \\p{L}+)? (?:hair|braids?|ponytail|plaits?|locks|curls|mane)|ponytail|mop of hair|(?:combing|brushing|braiding|plaiting|tossing) (?:her|his) (?:\\p{L}+ )?(?:hair|curls|locks|braids)|curls',
  },
  'shaven bearded, bald haired',
  true,
)

const water = dimension(
  'two states of the water',
  ANYWHERE,
  {
    frozen: 'frozen(?: over)?(?: solid)? (?:waterfall|river|stream|lake|fountain|canal|pond|sea|bay|harbou?r|brook)|(?:waterfall|river|stream|lake|fountain|canal|pond|sea|brook) (?:is )?(?:frozen|iced over)(?: solid| over)?|ice ?bound (?:river|lake|sea|harbou?r)|(?:thick|solid) ice on the (?:lake|river|pond|canal)',
    rough: '(?:rough|stormy|raging|choppy|heaving|wild|mountainous) (?:sea|seas|water|waters|ocean|waves|surf)|(?:huge|towering|crashing|giant|breaking) waves|whitecaps|breakers|(?:waves|surf) (?:crash\\p{L}*|pound\\p{L}*|smash\\p{L}*)|swell running high',
    dry: 'bone dry (?:river ?bed|lake ?bed|well|canal|pond|fountain|pool)|dried (?:up|out)(?: \\p{L}+)?|(?:dry|parched)(?:,? (?:cracked|dusty|empty))* (?:riverbed|river bed|lake ?bed|well|fountain|canal|stream bed|pond|pool)|waterless',
    flowing: 'under (?:\\p{L}+ ){1,2}(?:metres|meters|feet|fathoms) of water|submerged|full of water|(?:splashing|gushing|spraying|bubbling|spouting)(?: \\p{L}+ly)?|(?:rushing|flowing|cascading|tumbling|pouring) (?:freely|in full flow|down|over|through|past)|in full flow|rippling (?:water|surface|waves)|rushing (?:\\p{L}+ )?(?:water|rapids|river|stream|torrent)|rapids|torrents?|in (?:full )?(?:flood|spate)|overflowing|gushing \\p{L}+|brimming with water',
    calm: 'windless (?:sea|water|lake|bay|harbou?r|ocean)|(?:calm|glassy|still|mirror like|flat|placid|tranquil|motionless|unruffled) (?:sea|seas|water|waters|ocean|lake|surface|pond|harbou?r|bay)|mirror calm|not a ripple|smooth as glass|glass calm(?: \\p{L}+)?|like a mill ?pond|dead (?:flat|calm) (?:sea|water)',
  },
  'rough calm, dry flowing, frozen flowing, frozen rough',
)

const room = dimension(
  'indoors and outdoors',
  ['setting', 'framing', 'medium'],
  {
    indoors: '(?:set |shot )?indoors?|inside (?:a|the) (?:house|room|museum|cathedral|factory|kitchen|library|shop|school|hospital|warehouse|cellar|basement|church|theatre)|in a (?:windowless|sealed|closed) (?:room|cell|vault|cellar)|interior(?: shot| view| photograph| scene)?|inside a windowless room|studio backdrop',
    outdoors: '(?:set |shot )?outdoors?|out in the (?:fields?|open|woods|wild)|in the middle of (?:a|the) (?:field|ocean|desert|forest|sea|meadow|prairie)|on (?:a|the) (?:mountain ?top|hilltop|open sea|high seas|open road)|under (?:the |an )?open sky|open sky (?:overhead|above)|in the open air|open air|out of doors',
  },
  'indoors outdoors',
)

const format = dimension(
  'two formats',
  ['framing', 'medium'],
  {
    upright: 'portrait (?:orientation|format|mode)|vertical (?:format|composition|frame|poster)|upright format|tall (?:narrow )?format|9:16|2:3|3:4',
    wide: 'landscape (?:orientation|format|mode)|horizontal (?:format|composition|frame)|(?:very )?wide (?:panoramic )?format|panoramic (?:format|strip)|widescreen|letterbox(?:ed)?|16:9|21:9|3:2',
    square: 'square (?:format|composition|crop|frame)|1:1',
  },
  'upright wide, upright square, wide square',
)

const moon = dimension(
  'a moon and none',
  NOT_THE_FIGURE,
  {
    none: 'moonless(?: night)?|no moon|without a moon|new moon',
    full: '(?:full|huge|bright|rising|harvest|crescent|half) moon|moon(?:light|lit|beams?|rise)',
  },
  'none full',
)

export const side = dimension(
  'two sides for the light to come from',
  ['light'],
  {
    left: '(?:key |main |strong |hard |soft |warm |single |raking )?(?:light|sun|sunlight|lamp|glow)(?:ing)? (?:\\p{L}+ ){0,2}from the (?:upper |lower |far )?left|lit (?:only )?from the left',
    right: '(?:key |main |strong |hard |soft |warm |single |raking )?(?:light|sun|sunlight|lamp|glow)(?:ing)? (?:\\p{L}+ ){0,2}from the (?:upper |lower |far )?right|lit (?:only )?from the right',
  },
  'left right',
)

const expression = dimension(
  'two faces',
  ['action', 'detail', 'subject', 'mood'],
  {
    glad: '(?:smil|grinn|laugh|beam|giggl|chuckl)(?:s|es|ing)(?: \\p{L}+ly)?|(?:broad|wide|big) (?:smile|grin)|all smiles',
    dry: 'dry eyed|not a tear|stony ?faced|expressionless|deadpan|poker ?faced',
    sad: '(?:weep|sobb|cry|wail|scowl|frown|grimac)(?:s|es|ing)(?: \\p{L}+ly)?|in tears|tear ?stained|heartbroken|grim ?faced|screaming in (?:fear|terror|rage)',
  },
  'glad sad, dry sad',
  true,
)

const pace = dimension(
  'moving and still',
  ['action', 'detail', 'subject'],
  {
    still: 'motionless|perfectly still|(?:standing|sitting|lying|stands|sits|holding) (?:quite |perfectly |stock )?still|rooted to the spot|as still as \\p{L}+|without moving',
    moving: 'gallop(?:s|ing)|sprint(?:s|ing)|racing|dash(?:es|ing)|whirling|leap(?:s|ing)|charging|(?:runs|running) (?:\\p{L}+ )?(?:fast|hard|away|through|across|along|down|past)|at full (?:speed|gallop|sprint|stretch)|(?:chas|pounc|hunt|climb|fight|danc)(?:es|ing)(?: \\p{L}+)?',
    // “past a sleeping cat” is of the cat; a sleeper says so at its end, or is the subject.
    asleep: '(?:fast |sound )?asleep|(?:sleeping|dozing|slumbering|napping)(?! (?!in|on|at|by|under|beside|with|soundly|peacefully)\\p{L})|sleeps|^(?:an? |the )?(?:sleeping|dozing|slumbering)',
  },
  'still moving, moving asleep',
  true,
)

const heat = dimension(
  'heat and cold',
  NOT_THE_FIGURE,
  {
    hot: '(?:very |blazing |burning )?hot (?:day|afternoon|summer|air|weather|sun|noon)|sweltering(?: \\p{L}+)?|scorching(?: \\p{L}+)?|heat ?(?:wave|haze)|stifling heat|tropical(?: heat| sun| night)?|baking (?:heat|sun)|drenched in sweat|sweating|sun ?bathing|sun ?bathers?',
    cold: '(?:bitter(?:ly)?|freezing|biting|icy|arctic|bone chilling) (?:cold|wind|air|rain|fog|night|morning)|freezing|sub ?zero|shivering|frost(?:y|ed)?|ice cold (?:air|wind)|numb with cold|breath (?:steaming|visible|smoking)|frozen (?:lake|river|pond|ground|canal)|bundled (?:up )?against the cold|blizzard|snow(?:y|storm|fall)?',
  },
  'hot cold',
)

const foliage = dimension(
  'bare and in leaf',
  ['setting', 'detail', 'moment', 'subject'],
  {
    bare: '(?:bare|leafless|naked|skeletal|stripped) (?:winter )?(?:trees?|branches|boughs|twigs|woods?|oaks?|birches|beeches)|leafless',
    leafy: '(?:lush|dense|thick|full|rich|heavy)(?: green| summer)? (?:foliage|leaves|canopy|leaf)|in full leaf|leafy (?:trees?|branches|boughs|canopy|lane|avenue)|lush green (?:trees?|forest|woods?|branches)',
  },
  'bare leafy',
)

const eyes = dimension(
  'open eyes and shut ones',
  ['action', 'detail', 'subject'],
  {
    open: 'wide eyes|(?:wide )?open eyes|eyes (?:wide )?open|wide eyed|bulging eyes|unblinking(?: stare)?|staring eyes|(?:bright|piercing|sparkling|glowing|green|blue|brown|amber) eyes (?:wide|fixed|shining|gleaming)',
    shut: 'blindfold(?:ed)?|eyes (?:are )?(?:tightly |gently |half )?(?:closed|shut)(?: tight)?|(?:closed|shut) eyes|(?:fast |sound )?asleep|sleeping|slumbering|dozing',
  },
  'open shut',
  true,
)

const mouth = dimension(
  'an open mouth and a closed one',
  ['action', 'detail', 'subject'],
  {
    open: '(?:wide )?open mouth(?:ed)?|mouth (?:wide )?(?:open|agape)|(?:shout|scream|yell|sing|roar|yawn)(?:s|ing)(?: \\p{L}+ly| loudly)?|teeth bared',
    shut: 'lips (?:sealed|pressed together|tightly closed|shut)|mouth (?:tightly |firmly )?(?:shut|closed)|tight lipped|gagged',
  },
  'open shut',
  true,
)

const lens = dimension(
  'two lenses',
  ['technique', 'framing', 'medium'],
  {
    wide: '(?:ultra |super |extreme )?wide ?angle(?: lens| view| shot)?|fish ?eye(?: lens| view)?|(?:1[0-9]|2[0-8]) ?mm(?: lens)?',
    long: '(?:super |long )?tele ?photo(?: lens| view| shot| compression)?|long lens|(?:135|180|200|300|400|500|600) ?mm(?: lens)?',
    macro: 'macro lens|extreme macro',
  },
  'wide long',
)

const tilt = dimension(
  'a level frame and a tilted one',
  ['framing', 'technique'],
  {
    tilted: '(?:dutch|canted) (?:angle|tilt)|(?:canted|tilted|slanted|crooked) (?:frame|camera|horizon|angle|view)',
    level: '(?:perfectly |dead |absolutely )?(?:level|straight|horizontal) (?:horizon|frame|camera)|horizon (?:is )?(?:perfectly |dead )?(?:level|straight)',
  },
  'tilted level',
)

const facing = dimension(
  'two sides of it',
  ['framing', 'action'],
  {
    front: 'facing (?:us|the (?:camera|viewer|lens))|front(?:al)? view|(?:seen |viewed |shot )?from the front|head ?on(?: view| shot| portrait)?|face ?on|full face',
    rear: '(?:rear|back) view|(?:seen |viewed |shot )?from (?:behind|the (?:back|rear))|over the shoulder from behind',
    side: 'side view|side ?on|(?:in |strict |side |pure |exact |full )*profile(?: view| shot| portrait)?|(?:seen |viewed |shot )?from the side',
  },
  'front rear, front side, rear side',
  true,
)

/** Lit by one thing alone, and by another. */
const source = dimension(
  'two lights where there is one',
  ['light', 'detail', 'setting', 'moment'],
  {
    onlyFlame: '(?:only|solely|entirely|just) (?:lit )?by (?:an? |the |one |her |his )?(?:\\p{L}+ )?(?:candle|fire|oil lamp|lantern|torch|match|flame|hearth)(?:s|es|light)?|lit (?:only|solely|entirely|just) by (?:an? |the |one |her |his )?(?:\\p{L}+ )?(?:candle|fire|oil lamp|lantern|torch|match|flame|hearth)(?:s|es|light)?|(?:candle|fire|torch|lantern) ?light (?:only|alone)|(?:single|lone|one) (?:candle|match|oil lamp) (?:is )?(?:as )?the only light|(?:candle|fire)light as the only light',
    onlyMoon: '(?:only|solely|entirely|just) (?:lit )?by (?:the |an? )?(?:full )?moon(?:light)?|moonlight (?:only|alone)|lit (?:only|solely|entirely|just) by (?:the |an? )?(?:full |thin )?moon(?:light)?',
    electric: '(?:harsh |bright |cold |blue |white )*(?:fluorescent|neon|strobe|studio|flood|spot)(?: ?lit| ?lights?| ?lighting| tubes?| glow| daylight)|studio strobes|electric light|(?:ring|tube) lights?|flash ?bulb|on camera flash',
    sun: '(?:bright |harsh |strong |direct |blazing )*(?:sun(?:light|shine)?|daylight|noon sun)',
    warmOnly: '(?:warm|golden|amber|orange)(?:,? \\p{L}+){0,2} (?:light|lighting|lamplight|glow|tones) (?:only|alone|throughout|everywhere)|(?:only|entirely|exclusively) (?:warm|golden|amber|orange)(?:,? \\p{L}+){0,2} (?:light|lighting|lamplight|glow|tones)',
    coldOnly: '(?:cold|cool|icy|blue|bluish)(?:,? \\p{L}+){0,2} (?:light|lighting|glow|tones) (?:only|alone|throughout|everywhere)|(?:only|entirely|exclusively) (?:cold|cool|icy|blue|bluish)(?:,? \\p{L}+){0,2} (?:light|lighting|glow|tones)',
    warm: '(?:warm|golden|amber|orange)(?:,? \\p{L}+){0,2} (?:light|lighting|lamplight|candlelight|glow)',
    cold: '(?:cold|cool|icy|bluish)(?:,? \\p{L}+){0,2} (?:light|lighting|glow)',
  },
  'onlyFlame electric, onlyFlame sun, onlyFlame onlyMoon, onlyMoon electric, onlyMoon sun, warmOnly coldOnly, warmOnly cold, coldOnly warm',
)

const HAIR = '(?:hair|curls?|locks|braids?|plaits?|ponytail|tresses|mane of hair)'
const hairColour = dimension(
  'two colours of hair',
  ['subject', 'detail', 'action'],
  {
    fair: `(?:blonde?|golden|flaxen|fair|platinum)(?:,? \\p{L}+)? ${HAIR}|(?:fair|golden) haired|blonde?`,
    dark: `(?:jet black|black|raven|dark|brown|chestnut)(?:,? \\p{L}+)? ${HAIR}|(?:black|dark|raven|brown) haired|brunette`,
    red: `(?:red|ginger|auburn|copper|fiery)(?:,? \\p{L}+)? ${HAIR}|red ?haired|red ?head(?:ed)?`,
    grey: `(?:gr[ae]y|white|silver|snow white)(?:,? \\p{L}+)? ${HAIR}|(?:gr[ae]y|white|silver) haired`,
  },
  (a, b) => a !== b,
  true,
)

const hairLength = dimension(
  'two lengths of hair',
  ['subject', 'detail', 'action'],
  {
    long: `(?:falling|flowing|reaching|hanging|tumbling) (?:down )?to (?:her|his|the|its) (?:waist|knees|hips|ankles)|(?:very |waist ?length |knee ?length )?(?:long|flowing|waist ?length)(?:,? \\p{L}+)? ${HAIR}|${HAIR} down to (?:her|his|the) (?:waist|knees|hips)|long haired`,
    short: `(?:short|cropped|close cropped|pixie|buzz ?cut|bobbed|shorn)(?:,? \\p{L}+)? (?:hair|haircut|curls|cut)|short haired|crew cut|buzz ?cut|pixie cut`,
  },
  'long short',
  true,
)

const surface = dimension(
  'two surfaces',
  ['technique', 'detail', 'medium', 'subject'],
  {
    smooth: '(?:perfectly |completely )?(?:smooth|glassy|polished|flat|slick)(?:,? \\p{L}+)? (?:surface|finish|texture|brushwork|paint)|without (?:any )?texture',
    rough: '(?:rough|heavy|coarse|thick|gritty|heavily textured)(?:,? \\p{L}+)? (?:texture|impasto|surface|brushwork|finish)',
  },
  'smooth rough',
)

/** Everything of which a picture can have one at a time. */
export const DIMENSIONS: readonly Dimension[] = [hour, season, weather, shadow, shot, angle, gaze, focus, colourfulness, shutter, company, layout, hairiness, water, room, format, moon, side, pace, expression, heat, foliage, eyes, mouth, lens, tilt, facing, source, hairColour, hairLength, surface]
