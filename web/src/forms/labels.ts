/** What a teacher reads of a form, in one language; `forms.<form>` among the pages' messages. */
export interface FormLabels {
  name: string
  /** In a few words what it is. */
  about: string
  /** What stands in its row of the running order, where that is not its numbers. */
  row?: string
  /** Beside the field of each fact of its line, by the fact's id. */
  facts: Record<string, string>
  /** Of what may be chosen for a fact; `none` for nothing. */
  choices?: Record<string, Record<string, string>>
}
