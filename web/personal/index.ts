export { PersonalSection } from './PersonalSection';
export { WhyForm } from './WhyForm';
