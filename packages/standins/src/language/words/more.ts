import type { Facet } from '@idolon/core'
import type { Kind } from '../kinds.ts'

/** Further phrases for a longer prompt; they contradict nothing that the first ones say. */
export const MORE: Readonly<Partial<Record<Facet, readonly string[]>>> = {
  framing: ['open space on one side', 'clear foreground and soft background', 'strong diagonal lines'],
  light: ['soft shadows', 'gentle highlights along the edges', 'a subtle play of light and shade'],
  colour: ['restrained contrast', 'one warm accent', 'closely related tones'],
  mood: ['intimate', 'unhurried', 'dignified'],
}
export const MORE_DETAILS: Readonly<Record<Kind, readonly string[]>> = {
  person: ['weathered hands', 'a loose button hanging from its thread', 'a pencil behind one ear', 'a folded piece of paper in one hand', 'dust on the hems'],
  animal: ['small burrs caught in the coat', 'one raised forefoot', 'breath showing faintly', 'fine whiskers'],
  bird: ['fine barring on the flanks', 'one loose feather', 'a slender bill', 'a pale ring around the eye'],
  insect: ['grains of pollen', 'a faint metallic sheen', 'tiny hooked feet', 'a thread of spider silk'],
  fish: ['drifting specks in the water', 'small stones below', 'a fringe of green weed', 'a dark line along the back'],
  plant: ['a small snail on one leaf', 'fine roots at the base', 'seed heads behind', 'a scatter of fallen petals'],
  food: ['a small earthenware jug', 'a sprig of thyme', 'a wooden spoon', 'a dusting of flour'],
  vehicle: ['a coil of rope', 'a small canvas bag', 'scratched paint along the edge', 'a tin lantern'],
  vessel: ['a bucket by the rail', 'gulls on the water', 'wet planks', 'a folded net'],
  building: ['a wooden bucket beside the wall', 'a bench under the window', 'a line of worn steps', 'ivy along one corner'],
  place: ['a narrow footpath', 'a row of fence posts', 'tufts of pale grass', 'a shallow pool'],
  thing: ['a folded cloth beside it', 'a few dry leaves', 'a small dent', 'a loop of string'],
  event: ['a pair of wooden benches', 'a basket of apples', 'a row of lanterns', 'a patched awning'],
  idea: ['a thin thread on the floor', 'a closed wooden box', 'dust in the air', 'a pale mark on the wall'],
}
export const MORE_PLACES: Readonly<Record<'in' | 'out' | 'water', readonly string[]>> = {
  in: ['a plaster wall behind', 'a half-open door in the background', 'worn floorboards'],
  out: ['low hills in the background', 'a line of bare trees behind', 'rough grass in the foreground'],
  water: ['dim blue depth behind', 'a slope of stones below'],
}
