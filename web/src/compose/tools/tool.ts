/** What is open in the panel to work something out for the teacher, and for which block. */
export type Tool =
  | { kind: 'fit'; fill?: boolean }
  | { kind: 'finish' }
  | { kind: 'arrange'; block: string }
  | { kind: 'chance'; block: string }
  | { kind: 'next'; from: string; ofClass?: string }
  | { kind: 'suggest'; block: string }
