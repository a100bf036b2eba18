// What a place leaves open, and what would fill it. Named exports only; what is in no list is nobody else's business.
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
} from '../suggest/suggest.ts'
