/** The place of a finding, by ids; empty if it is about the whole session. */
export interface Where {
  section?: string
  block?: string
  station?: string
}
