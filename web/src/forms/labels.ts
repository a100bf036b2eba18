/** What a teacher reads about a form, in one language; `forms.<form>` among the pages' messages. */
export interface FormLabels {
  name: string
  /** A short description. */
  about: string
  /** The text of its row in the running order, if that is not its numbers. */
  row?: string
  /** The label of each fact's field, by the fact's id. */
  facts: Record<string, string>
  /** Words for a fact's choices; `none` for nothing. */
  choices?: Record<string, Record<string, string>>
}
