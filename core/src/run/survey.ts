/** The survey's questions, each with a fixed set of answers. */
export const surveyQuestions = { again: ['yes', 'maybe', 'no'], space: ['enough', 'tight'] } as const
