import type { Random } from './seeded.ts'

/** A normal value of mean 0 and standard deviation 1, from two even ones (Box and Muller 1958). */
export const normal = (random: Random): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
