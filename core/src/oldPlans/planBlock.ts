/** A piece of a document of any format: what a page has from top to bottom. */
export type PlanBlock =
  | {
      kind: 'heading'
      /** 1 is the document's own. */
      level: number
      text: string
    }
  | {
      kind: 'line'
      text: string
      /** Its nesting depth in a list. */
      listed?: number
    }
  | { kind: 'quote'; text: string }
  | {
      kind: 'table'
      /** Cells as text; line breaks in a cell are kept. All rows have the same length. */
      rows: string[][]
    }
  | {
      kind: 'picture'
      /** As the document calls it. */
      name: string
    }
