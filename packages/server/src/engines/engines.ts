import { type EngineProfile, findEngine, SHIPPED_ENGINES } from '@idolon/core'

/** The engines this copy of Idolon knows, and where each is spoken to. */
export class Engines {
  constructor(private readonly address: string) {}

  list(): EngineProfile[] {
    return [...SHIPPED_ENGINES]
  }

  find(id: string, revision?: string): EngineProfile | undefined {
    return findEngine(SHIPPED_ENGINES, id, revision)
  }

  addressOf(_profile: EngineProfile): string {
    return this.address
  }
}
