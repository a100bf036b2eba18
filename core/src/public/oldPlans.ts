// Documents of other programs as lines of text, and a session as a document. Named exports only.
export { type PlanBlock } from '../oldPlans/planBlock.ts'
export { planBlocks } from '../oldPlans/planBlocks.ts'
export { planTable } from '../oldPlans/planTable.ts'
export { planText, sessionsIn } from '../oldPlans/planText.ts'
