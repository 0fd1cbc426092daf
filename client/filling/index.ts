export {
  beginFilling,
  finishedParts,
  gapsIn,
  stepsOf,
  withAnswers,
  withConfirmed,
  type Beside,
  type Filling,
  type Step,
} from './filling';
