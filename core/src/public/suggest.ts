// What a place leaves open, and suggestions to fill it. Named exports only: anything not listed is internal.
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
