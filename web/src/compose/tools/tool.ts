/** The tool open in the panel, and its block. */
export type Tool =
  | { kind: 'fit'; fill?: boolean }
  | { kind: 'finish' }
  | { kind: 'arrange'; block: string }
  | { kind: 'chance'; block: string }
  | { kind: 'next'; from: string; ofClass?: string }
  | { kind: 'suggest'; block: string }
