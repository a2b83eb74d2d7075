import type { Schema } from '../api/types'

type Rule = Schema['Rule']
export type Right = Rule['right']

/** In the order in which a document goes its way. */
export const RIGHTS: Right[] = ['index', 'file', 'see', 'seeConfidential', 'erase']

/** What is said of a right over just these documents. */
export const ruleOf = (rules: Rule[], right: Right, stream: string, type: string): Rule | undefined =>
  rules.find((r) => r.right === right && r.stream === stream && r.type === type)
