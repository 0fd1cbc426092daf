export {
  beginFilling,
  finishedParts,
  gapsIn,
  stepsOf,
  withAnswers,
  withConfirmed,
  type Filling,
  type Step,
} from './filling';
