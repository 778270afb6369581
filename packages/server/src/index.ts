export * from './settings.ts'
export * from './start-server.ts'
export { createDatabase } from './database/create-database.ts'
export { connectDatabase, type Database } from './database/connect.ts'
