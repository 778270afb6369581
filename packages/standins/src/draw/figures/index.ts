import { oklch } from '../colour.ts'
import { bear, cat, fox, goat } from './animals.ts'
import { heron, songbird } from './birds.ts'
import { ellipse, type Figure } from './figure.ts'
import { boat, cart, chalet, cup, jar, loaf, teapot, tower, train } from './made-things.ts'
import { adult, child, elder, oldWoman } from './people.ts'
import { bee, butterfly, flower, tree } from './small-life.ts'

/** Drawn when the words name nothing this engine knows: discs in the asked colours. */
const discs: Figure = {
  height: 0.6,
  width: 1,
  draw(pen) {
    const { accents } = pen.canvas.palette
    for (let i = 0; i < 9; i++) {
      const [a, d, r] = [pen.random() * 6.283, pen.random() * 34, 8 + pen.random() * 22]
      pen.shape(ellipse(Math.cos(a) * d, -50 + Math.sin(a) * d, r, r), accents[i % 3] ?? oklch(0.6, 0.1, 30))
    }
  },
}

/** Every figure, by `kind/variant`. A landscape has none. */
export const FIGURES: Record<string, Figure> = {
  'person/elder': elder,
  'person/old woman': oldWoman,
  'person/adult': adult,
  'person/child': child,
  'animal/fox': fox,
  'animal/goat': goat,
  'animal/cat': cat,
  'animal/bear': bear,
  'bird/heron': heron,
  'bird/small': songbird,
  'insect/bee': bee,
  'insect/butterfly': butterfly,
  'plant/flower': flower,
  'plant/tree': tree,
  'vehicle/train': train,
  'vehicle/cart': cart,
  'vessel/boat': boat,
  'building/chalet': chalet,
  'building/tower': tower,
  'food/jar': jar,
  'food/cup': cup,
  'food/teapot': teapot,
  'food/loaf': loaf,
  'abstract/discs': discs,
}
