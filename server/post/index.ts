export { type PostOffice, type Letter, PostRoom, smtpOffice } from './postOffice';
