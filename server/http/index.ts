export { bind, bindLong } from './bind';
export { errorHandler, headers, knownHost, nothingHere, sameOrigin } from './guards';
export { limitTries } from './limitTries';
export { inTurns } from './longWork';
export { mustBeStorable } from './body';
export { notFound, Refusal } from './refusal';
