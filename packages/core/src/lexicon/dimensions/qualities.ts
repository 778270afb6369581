import { type Dimension, dimension, ANYWHERE } from '../dimension.ts'

/** Qualities that one thing cannot have together, a pair of groups a line; `-` joins the words of a turn of phrase. */
const OPPOSITES = `
tiny little small miniature minuscule diminutive pocket-sized teeny petite minute | huge enormous gigantic colossal giant massive immense vast towering monumental oversized gargantuan mammoth
fat plump stout obese rotund portly chubby corpulent | thin skinny slender slim gaunt lean emaciated scrawny bony
tall lanky towering | short squat stubby
open ajar unlocked opened gaping wide-open thrown-open | shut closed locked bolted barred sealed boarded-up shuttered padlocked
lit alight glowing burning blazing lighted illuminated flickering ablaze | unlit extinguished unlighted burnt-out snuffed snuffed-out blown-out darkened
smooth polished glassy sleek even silky mirror-smooth | rough coarse rugged craggy bumpy jagged uneven gnarled wrinkled pitted knobbly
wet soaked soaking drenched dripping sodden damp sopping waterlogged rain-soaked | dry bone-dry parched arid dried
empty bare vacant deserted abandoned unoccupied drained hollow | full crowded packed overflowing brimming bustling crammed occupied teeming stuffed cluttered thronged laden heaped piled loaded brimful filled
old aged elderly ancient worn | young youthful newborn brand-new baby teenage
new brand-new pristine spotless immaculate | old rusty rusted battered derelict ruined worn-out decrepit dilapidated crumbling worn threadbare tattered
clean spotless pristine immaculate gleaming freshly-washed freshly-laundered | dirty filthy grimy muddy grubby soiled mud-caked dusty stained mud-spattered greasy
transparent see-through translucent clear crystal-clear | opaque murky cloudy muddy
sharp crisp tack-sharp razor-sharp focused | blurry blurred out-of-focus hazy
matte matt dull lustreless tarnished chalky unglazed | glossy shiny gleaming polished glittering lustrous lacquered sparkling mirror-bright mirrored high-gloss varnished
straight ramrod-straight unbending | crooked bent curved winding twisted curly wavy zigzag
flat level | hilly mountainous steep spiky
narrow slim cramped tight | wide broad spacious
heavy leaden | weightless feather-light lightweight
hot boiling scalding red-hot steaming burning piping-hot | cold icy frozen ice-cold frosty freezing chilled stone-cold
calm still glassy placid tranquil motionless unruffled serene | stormy raging rough choppy wild turbulent tempestuous churning heaving
motionless still unmoving stationary frozen parked immobile | running racing speeding galloping moving rushing whirling spinning swirling flowing charging
silent quiet hushed mute | loud noisy roaring shouting screaming deafening blaring singing
asleep sleeping dozing slumbering napping | awake wide-awake running leaping dancing galloping jumping sprinting shouting fighting
dead lifeless withered wilted wilting shrivelled | living alive blooming flourishing blossoming thriving lively fresh-cut
naked nude unclothed bare-chested undressed | clothed dressed robed armoured fully-clothed
bald hairless shaven-headed | long-haired curly-haired hairy shaggy furry fluffy
intact unbroken whole undamaged unscathed | broken shattered cracked smashed ruined damaged collapsed torn splintered
bright brilliant radiant dazzling brightly-lit sunlit sun-drenched luminous | dark gloomy dim pitch-dark pitch-black murky unlit shadowy moonless
colourful multicoloured rainbow-coloured vivid vibrant saturated | colourless monochrome monochromatic grey black-and-white desaturated
vivid vibrant saturated garish neon | muted faded washed-out subdued pale drab
simple plain unadorned undecorated minimal minimalist spartan austere | ornate elaborate intricate richly-decorated baroque lavish cluttered
symmetrical symmetric | asymmetrical asymmetric lopsided
raw uncooked | cooked roasted roast fried grilled charred
frozen ice-bound iced-over | flowing rushing thawed boiling melted
happy cheerful smiling laughing joyful grinning beaming merry | sad weeping crying sobbing mournful sorrowful miserable grieving tearful unsmiling
angry furious enraged | calm serene placid
round circular spherical | square rectangular triangular cubic box-shaped
horizontal | vertical upright
rich wealthy opulent | poor ragged destitute penniless
modern futuristic contemporary | medieval ancient prehistoric
cloudless clear sunny | overcast cloudy stormy rainy
deep | shallow
seated sitting kneeling reclining | standing upright
blind blindfolded eyeless | wide-eyed
solitary lone single lonely | crowded countless
old elderly aged ancient | baby infant toddler newborn child
snowy snow-covered frosty snowbound icy | tropical sun-baked sweltering
male | female pregnant
legless wingless headless | winged
leafless bare | leafy lush
unlit dark | sunlit moonlit floodlit candlelit
ripe | unripe
loose baggy oversized slack | tight skin-tight close-fitting taut
furled rolled-up folded | unfurled unrolled spread billowing
loaded | unloaded
ripe overripe rotten mouldy | unripe fresh
thick chunky | thin paper-thin wafer-thin
sparse scant | dense thick abundant
moored anchored docked beached aground | sailing under-sail adrift
parked stationary | driving
unpainted unvarnished | painted varnished
shorn cropped | long-haired shaggy
barren | lush fertile verdant
stale | fresh freshly-baked
tame docile | wild feral
fresh-faced | wrinkled wizened
empty-handed | laden
uncut unsliced | sliced halved chopped diced quartered carved cut-open
airborne flying hovering | grounded earthbound perched rooted landed
sunk sunken wrecked capsized | sailing seaworthy afloat
slow sluggish crawling plodding | fast swift speeding hurtling racing rapid
budding unopened | full-blown overblown withered
locked bolted | unlocked flung-open
full-length floor-length ankle-length | cropped knee-length thigh-length mini
melted molten | frozen solid
inflated swollen | deflated flat punctured
brimming overflowing | empty dry drained half-empty
solitary lone | paired twin
fresh-painted freshly-painted | peeling flaking unpainted
calm windless | windswept gusty
coiled curled | uncoiled straightened
upright vertical | toppled overturned fallen upside-down upended
loaded laden | unladen
pregnant | flat-bellied
sighted | blind
faded bleached | brightly-coloured
strung | unstrung stringless
sheathed | unsheathed drawn
anonymous | famous
wide-brimmed | brimless
`

const SEPARATE = /\s+/
const termOf = (said: string): string => said.replaceAll('-', ' ')

/** Every pair of groups as a dimension of its own. */
export const QUALITIES: readonly Dimension[] = OPPOSITES.trim()
  .split('\n')
  .map((line) => {
    const [a = '', b = ''] = line.split(' | ').map((side) => side.split(SEPARATE).map(termOf).join(', '))
    return dimension('two qualities of one thing', 'thing', [...ANYWHERE, 'medium'], { one: a, other: b }, 'one other')
  })

/** What a thing is made of, as a word before it says or a verb after it. */
export const material = dimension(
  'two materials of one thing',
  'thing',
  [...ANYWHERE, 'medium'],
  {
    wood: 'wooden, timber, oak, oaken, {worked} from|of|out|in _? _? wood|oak|pine|walnut|ash|elm|bamboo, wood',
    metal: '{metal}, metallic, {worked} from|of|out|in _? _? {metal}, {worked} in _ _ from|of _? {metal}, cast iron',
    stone: 'marble, granite, basalt, sandstone, limestone, slate, {worked} from|of|out|in _? _? stone|marble|granite|basalt|rock|slate',
    glass: 'glass, crystal, {worked} from|of|out|in _? _? glass|crystal',
    paper: 'paper, cardboard, papier, {worked} from|of|out|in _? _? paper|cardboard',
    cloth: 'woollen, woolen, knitted, silk, velvet, linen, cotton, {worked} from|of|out|in _? _? wool|silk|velvet|linen|cotton|felt|yarn',
    ice: '{worked} from|of|out|in _? _? ice|snow',
    clay: 'earthenware, terracotta, porcelain, clay, ceramic, {worked} from|of|out|in _? _? clay|porcelain|terracotta',
  },
  (a, b) => a !== b,
)

/** How full a vessel, a room, a shelf is, beyond what an adjective says. */
export const fullness = dimension(
  'two qualities of one thing',
  'thing',
  ANYWHERE,
  {
    empty: 'empty, vacant, unoccupied, drained, bare',
    full: 'full|half of, fill|heap|pile|laden|brim|load|stuff|stack|cram|pack|overflow|crowd|spill|bulge with|over, full to brim, brimful, brimming, overflowing, hold _? <food>|<fruit>|<flower>|<liquid>|egg|coin, contain _, with _ _? _? inside|swimming|seated|sitting|sleeping|asleep|dozing|curled, with _ _? _? in it|them, with _ _? _? inside it|them',
  },
  'empty full',
)
