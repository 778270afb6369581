/** How one server process is set up; see docs/settings.md. */
export interface ServerSettings {
  databaseUrl: string
  /** 0 lets the system choose. */
  port: number
  /** Where the picture engines are spoken to. */
  engineAddress: string
  /** Where the language models are spoken to that ship with Idolon. */
  modelAddress: string
  /** Hosts that engines and models may be spoken to at, beside the simulated ones: see docs/settings.md. */
  engineHosts: string
  /** What secrets are sealed with; none can be kept without it. */
  secretKey: string | undefined
  /** The built page; none is served without it. */
  pageFolder: string | undefined
  /** Answer requests, do jobs, or both. */
  roles: ReadonlySet<'web' | 'jobs'>
  engineTimeoutMs: number
  logLevel: string
  /** Every answer is held against its schema, and one that departs from it is an error. */
  checkAnswers: boolean
}

const numberOf = (text: string | undefined, otherwise: number): number => {
  const value = Number(text ?? '')
  return text !== undefined && Number.isFinite(value) ? value : otherwise
}

export function settingsFrom(env: NodeJS.ProcessEnv): ServerSettings {
  const databaseUrl = env['DATABASE_URL']
  if (!databaseUrl) throw new Error('DATABASE_URL is not set. Start Idolon with ./idolon start, which sets it.')
  const roles = (env['IDOLON_ROLES'] ?? 'web,jobs').split(',').filter((role) => role === 'web' || role === 'jobs')
  return {
    databaseUrl,
    port: numberOf(env['PORT'], 4173),
    engineAddress: env['IDOLON_ENGINE_ADDRESS'] ?? 'http://127.0.0.1:4174',
    modelAddress: env['IDOLON_MODEL_ADDRESS'] ?? 'http://127.0.0.1:4175',
    engineHosts: env['IDOLON_ENGINE_HOSTS'] ?? '',
    secretKey: env['IDOLON_KEY'],
    pageFolder: env['IDOLON_PAGE'],
    roles: new Set(roles),
    engineTimeoutMs: numberOf(env['IDOLON_ENGINE_TIMEOUT_MS'], 60_000),
    logLevel: env['IDOLON_LOG'] ?? 'info',
    checkAnswers: env['IDOLON_CHECK_ANSWERS'] === '1',
  }
}
