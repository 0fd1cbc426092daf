export { InviteForm } from './InviteForm';
