import { amrapDraft } from '../forms/amrap/draft.ts'
import { callsDraft } from '../forms/calls/draft.ts'
import { chanceDraft } from '../forms/chance/draft.ts'
import { intervalsDraft } from '../forms/intervals/draft.ts'
import { ladderDraft } from '../forms/ladder/draft.ts'
import { relayDraft } from '../forms/relay/draft.ts'
import { roundsDraft } from '../forms/rounds/draft.ts'
import { setsDraft } from '../forms/sets/draft.ts'
import type { BlockOf, Form } from '../session/forms.ts'
import type { FormDraft } from './formDraft.ts'

/** The forms a draft is made of; the others ask for what only a teacher can think of. */
export const formDrafts: { [F in Form]?: FormDraft<BlockOf<F>> } = {
  amrap: amrapDraft,
  calls: callsDraft,
  chance: chanceDraft,
  intervals: intervalsDraft,
  ladder: ladderDraft,
  relay: relayDraft,
  rounds: roundsDraft,
  sets: setsDraft,
}

/** How a form is drafted; undefined where it is not. */
export const draftOf = (form: Form): FormDraft | undefined => formDrafts[form] as unknown as FormDraft | undefined
