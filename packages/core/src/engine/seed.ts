/** Seeds of pictures are whole numbers from 0 to this. */
export const MAX_SEED = 2 ** 31 - 2
