export {
  beginFilling,
  finishedParts,
  gapsIn,
  stepsOf,
  typedAnswers,
  withAnswers,
  withConfirmed,
  type Filling,
  type Step,
} from './filling';
