/** Words that say one and the same of a picture, a group a line; a draft that has two of a group says it twice. */
export const SAME = `
bokeh, blurred background, blurry background, out-of-focus background, background blur, background out of focus
shallow depth of field, shallow focus, thin depth of field, narrow depth of field, razor-thin focus
black and white, black-and-white, monochrome, greyscale, grayscale, black & white
close-up, closeup, tight close-up, close up shot, close-up shot, tight shot, detail shot
from above, seen from above, overhead, overhead shot, overhead view, top-down, top-down view, top view, bird's-eye view, viewed from above
from below, seen from below, low angle, low-angle shot, low-angle view, worm's-eye view, viewed from below
wide shot, long shot, wide view, establishing shot
panorama, panoramic, panoramic view, sweeping view
dusk, twilight, nightfall, gloaming
sunset, sundown, setting sun
dawn, daybreak, sunrise, first light, break of day, sun-up
noon, midday, high noon
golden hour, golden-hour light, warm sunset glow, magic hour
night, night-time, nighttime
foggy, fog, misty, mist, hazy mist
rainy, rain, pouring rain, rainfall, raining
stormy, tempestuous, storm-tossed, rough sea, stormy sea, stormy ocean, stormy ocean waves, rough waves
huge, enormous, gigantic, massive, giant, colossal, immense
tiny, very small, minuscule, miniature, teeny, wee, tiny little
old, aged, elderly, ancient, well on in years
soft light, soft lighting, gentle soft lighting, gentle light, soft diffused light, diffused light, diffuse light, soft diffuse lighting
hard light, harsh light, harsh lighting, hard lighting
side light, side lighting, light from the side, lit from the side, sidelit
backlight, backlit, backlighting, lit from behind, contre-jour
rim light, rim lighting, rim lit
candlelight, candlelit, candle light, lit by candles
lamplight, lamp light, lit by a lamp, light of a lamp
moonlight, moonlit, light of the moon
sunlight, sunlit, sunshine, sunlight streaming, sun light
cosy, cozy, snug, homely, cosy and warm, warm and cosy, warm and cozy
sad, melancholy, melancholic, sorrowful, mournful
happy, joyful, cheerful, joyous, merry, jolly
scary, frightening, spooky, creepy, eerie
calm, peaceful, tranquil, serene
lonely, solitary, desolate, lonesome, all alone
mysterious, enigmatic
beautiful, lovely, pretty
muted colours, muted colors, muted palette, muted tones, subdued colours, subdued colors, subdued palette
bright colours, bright colors, vivid colours, vivid colors, vibrant colours, vibrant colors, saturated colours, saturated colors
warm colours, warm colors, warm palette, warm tones, warm hues
cool colours, cool colors, cool palette, cool tones, cold tones
photo, photograph, photography
photorealistic, photo-realistic, hyperrealistic, realistic photo
oil painting, oil on canvas, painted in oils, oils on canvas
watercolour, watercolor, aquarelle, watercolour painting, watercolor painting
linocut, lino print, linoleum print
woodcut, woodblock print, wood-block print
pencil drawing, pencil sketch, drawn in pencil, graphite drawing
pen and ink, ink drawing, drawn in ink
film grain, grainy film, grainy, visible grain
long exposure, slow shutter, slow shutter speed
symmetrical, symmetrical composition, perfect symmetry, symmetry
centred, centered, centred composition, centered composition, in the centre of the frame
empty space, negative space, copy space
crowded, packed, bustling, teeming
pastel colours, pastel colors, pastel palette, pastel tones, pastel hues, soft pastel palette, soft pastel colours, soft pastel colors
ruined, derelict, dilapidated, crumbling
shining, gleaming, glistening, shiny
dark, dim, gloomy
smiling, smile, grinning, with a smile
`
