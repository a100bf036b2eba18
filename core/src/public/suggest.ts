// What a place leaves open, and what would fill it. Named exports only; what is in no list is nobody else's business.
export { picksLp, picksOf } from '../pick/picksLp.ts'

export {
  offered,
  placeOfRole,
  suggested,
  suggestFor,
  suggestProblem,
  type Reason,
  type SuggestContext,
  type SuggestFor,
  type Suggestion,
  type SuggestProblem,
} from '../suggest/suggest.ts'
