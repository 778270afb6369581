/** Something the person at the terminal can mend: printed as it is, without a stack. */
export class Refusal extends Error {
  override name = 'Refusal'
  constructor(
    message: string,
    readonly status: 1 | 2 = 1,
  ) {
    super(message)
  }
}

export const wrongUsage = (message: string) => new Refusal(`${message}\n./idolon help lists what there is.`, 2)
