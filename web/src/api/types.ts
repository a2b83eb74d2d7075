import type { components } from './schema'

/** What the server sends, by name. */
export type Schema = components['schemas']
