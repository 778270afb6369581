/** What lies in a bundle beside its pictures. */
export const BUNDLE_FILE = 'bundle.json'
