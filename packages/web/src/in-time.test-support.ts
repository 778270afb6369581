/** How long a test waits for what must become true: far longer than it takes, since a busy machine takes its time. */
export const IN_TIME = { timeout: 100_000 }
