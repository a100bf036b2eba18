/** Where a finding is, by ids; nothing of it where it is about the whole session. */
export interface Where {
  section?: string
  block?: string
  station?: string
}
