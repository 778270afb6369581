/** Why an engine or a model gave nothing usable. */
export class ServiceFailure extends Error {
  override name = 'ServiceFailure'
  constructor(
    /** A sentence for the writer. */
    readonly reason: string,
    readonly more: {
      /** 'no': the service refused or was never reached; 'yes': it answered; 'perhaps': it was asked and no whole answer was seen. */
      charged: 'no' | 'yes' | 'perhaps'
      /** Whether asking once more may help; seconds to wait first when the engine named them. */
      again: boolean
      waitSeconds?: number
      /** It works and has too much to do: no failure of the service. */
      busy?: true
    },
  ) {
    super(reason)
  }
}
