export { hasChoices, memberCount, membersOf, MOST_MEMBERS } from './choices';
export { Families, type Member } from './families';
export { familiesOf } from './shipped';
