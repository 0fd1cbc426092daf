export { keptWave, readWave } from './readWave';
