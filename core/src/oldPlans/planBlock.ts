/** A piece of a document, wherever it came from: what a page has from top to bottom. */
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
      /** It stands in a list, so deep. */
      listed?: number
    }
  | { kind: 'quote'; text: string }
  | {
      kind: 'table'
      /** Cells as text; a cell's own lines are kept. All rows are of one length. */
      rows: string[][]
    }
  | {
      kind: 'picture'
      /** As the document calls it. */
      name: string
    }
