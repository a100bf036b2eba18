/**
 * How many times longer every wait is than a quiet machine needs. A wait costs time only if something failed, and a shared machine may
 * stall for a minute; `npm run test:busy` asks for more. No journey checks how fast anything is.
 */
export const patience = Number(process.env.PATIENCE ?? 3)
