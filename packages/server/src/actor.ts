/** Who does something. One person until accounts come. */
export interface Actor {
  id: string
}

export const THE_WRITER: Actor = { id: 'writer' }
