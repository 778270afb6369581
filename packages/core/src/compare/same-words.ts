/** Words that stand for the same in a prompt though a dictionary keeps them apart, a group a line. */
export const SAME_WORDS = `
man, gentleman, guy, fellow, bloke
woman, lady
boy, lad, young boy
girl, lass, young girl
child, kid, youngster
children, kids
baby, infant
dog, hound
cat, kitty
horse, steed
sea, ocean
storm, tempest, gale
stream, brook, creek, rivulet
river, stream
forest, woods, wood, woodland
hill, hillside, hilltop, slope
mountain, mountains, peak, peaks
meadow, grassland, pasture, grassy field
shore, shoreline, seashore, beach, coast, seaside
path, trail, footpath, track
road, lane, roadway
street, roadway
alley, alleyway, back street
village, hamlet
town, townscape
city, metropolis
harbour, harbor, port, haven
quay, pier, jetty, wharf, dock
house, home
hut, shack, cabin, shed
castle, fortress, citadel
church, chapel
tower, turret
shop, store
inn, tavern, pub, public house
café, cafe, coffee house, coffee shop
hearth, fireplace, fireside
fire, flames, blaze
campfire, bonfire
lamp, lantern
street lamp, streetlamp, street light, streetlight, lamp post, lamppost
ship, vessel
sailing ship, sailboat, sailing boat, sailing vessel
boat, small boat, rowing boat, rowboat, dinghy
train, locomotive
car, automobile, motor car
bicycle, bike, cycle
tram, streetcar, trolley
aeroplane, airplane, plane, aircraft
coat, overcoat
hat, cap
spectacles, glasses, eyeglasses
rucksack, backpack
basket, hamper
cup, mug
jug, pitcher
stone, rock
boulder, large rock
sky, heavens
cloud, clouds, cloudy
overcast, cloudy, grey sky, gray sky
mist, fog, haze, misty, foggy, hazy
snow, snowy, snow-covered, snowfall
rain, rainy, raining, rainfall, in the rain
wind, windy, windswept, breezy
sun, sunshine, sunny, sunlit, sunlight
night, nighttime, night-time, at night
evening, early evening
morning, early morning
autumn, fall, autumnal
spring, springtime
summer, summertime
winter, wintertime, wintry
old, elderly, aged, ancient
young, youthful
big, large, great
little, small
beautiful, pretty, lovely
dark, gloomy, murky, dim, shadowy
bright, brilliant, luminous
empty, deserted, abandoned, desolate
quiet, silent, hushed, still
happy, joyful, cheerful, merry
sad, melancholy, melancholic, mournful, sorrowful
calm, peaceful, serene, tranquil, placid
cosy, cozy, snug, homely
mysterious, enigmatic
scary, frightening, spooky, eerie, creepy, sinister
sleeping, asleep, sleeps, dozing, slumbering, napping
walking, strolling, wandering, ambling
running, sprinting, dashing
jumping, leaping, bounding
carrying, holding, bearing, clutching, in hand
looking, gazing, staring, peering
watching, observing
smiling, grinning
sitting, seated, sits
standing, stands
lying, reclining
wearing, dressed, clad
playing, plays
fishing, angling, catching fish
flying, soaring
floating, drifting
climbing, scaling, clambering, ascending
repairing, mending, fixing
eating, dining
hugging, embracing
photo, photograph, photographic, photography, snapshot
illustration, illustrated
painting, painted
drawing, drawn
oil painting, oils, oil on canvas, painted in oils
watercolour, watercolor, aquarelle
close-up, closeup, close up, tight shot
wide shot, long shot, wide view, wide-angle view, establishing shot
from above, overhead, top-down, bird's-eye view, aerial view, high angle
from below, low angle, low-angle, worm's-eye view
bokeh, blurred background, shallow depth of field, shallow focus, soft background
backlit, backlight, backlighting, lit from behind
soft light, soft lighting, gentle light, diffused light, diffuse light
hard light, harsh light
golden hour, late afternoon sun, warm evening light
dusk, twilight, nightfall
dawn, daybreak, first light, sunrise
sunset, sundown, setting sun
noon, midday
muted colours, muted colors, muted palette, muted tones, subdued colours, desaturated
vivid colours, vivid colors, vibrant colours, vibrant colors, bright colours, saturated colours
warm colours, warm colors, warm palette, warm tones
cool colours, cool colors, cool palette, cool tones
black and white, monochrome, greyscale, grayscale
dramatic, striking
`
