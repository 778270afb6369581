/** The kinds of thing that COCO labels (Lin et al. 2014), in its order, under the broader kind that near ones are called by. */
const BROADER: readonly (readonly [broader: string, kinds: string])[] = [
  ['person', 'person'],
  ['vehicle', 'bicycle, car, motorcycle, aeroplane, bus, train, lorry, boat'],
  ['street sign', 'traffic light, fire hydrant, stop sign, parking meter'],
  ['seat', 'bench'],
  ['animal', 'bird, cat, dog, horse, sheep, cow, elephant, bear, zebra, giraffe'],
  ['bag', 'backpack, umbrella, handbag, tie, suitcase'],
  ['sports thing', 'flying disc, skis, snowboard, ball, kite, baseball bat, baseball glove, skateboard, surfboard, tennis racket'],
  ['vessel', 'bottle, wine glass, cup, fork, knife, spoon, bowl'],
  ['food', 'banana, apple, sandwich, orange, broccoli, carrot, hot dog, pizza, doughnut, cake'],
  ['furniture', 'chair, couch, potted plant, bed, dining table, toilet'],
  ['device', 'television, laptop, mouse, remote control, keyboard, mobile phone, microwave, oven, toaster, sink, refrigerator'],
  ['object', 'book, clock, vase, scissors, teddy bear, hair dryer, toothbrush'],
]

export interface Kind {
  name: string
  broader: string
}
export const KINDS: readonly Kind[] = BROADER.flatMap(([broader, kinds]) => kinds.split(', ').map((name) => ({ name, broader })))
