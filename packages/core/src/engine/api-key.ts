/** What stands for a service’s API key in the headers of a profile. The API key itself is never part of a profile. */
export const API_KEY = '{apiKey}'

/** Whether a service is sent an API key: one of its headers has a place for it. */
export const takesApiKey = (connection: { headers?: Record<string, string> | undefined } | undefined): boolean => Object.values(connection?.headers ?? {}).some((value) => value.includes(API_KEY))
