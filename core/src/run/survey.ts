/** The survey's questions, each answered by one of its fixed answers. */
export const surveyQuestions = { again: ['yes', 'maybe', 'no'], space: ['enough', 'tight'] } as const
