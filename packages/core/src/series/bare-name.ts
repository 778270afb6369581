/** A name or role as it is compared: in lower case, without the article or the owner before it. */
export const bareName = (said: string): string => said.toLowerCase().replace(/^(?:an?|the|his|her|their|its|my|our)\s+/, '').trim()
