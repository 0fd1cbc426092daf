export { wordsOfHouse } from './houseWords';
export { houseWordRoutes } from './houseWordRoutes';
