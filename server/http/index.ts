export { bind, checked, type Call } from './bind';
export { errorHandler, headers, knownHost, nothingHere, sameOrigin } from './guards';
export { limitTries } from './limitTries';
export { inTellingTurns, inTurns } from './inTurns';
export { mustBeStorable } from './body';
export { notFound, Refusal } from './refusal';
