/**
 * How many times longer every wait is than a quiet machine needs. A wait costs time only where something failed, and a shared machine may
 * stand still for a minute; `npm run test:busy` asks for more still. No journey says how fast anything is.
 */
export const patience = Number(process.env.PATIENCE ?? 3)
