export { type PostOffice, type Letter, PostRoom, smtpOffice } from './postOffice';
export { type Courier, type Delivery, type Parcel, outboxCourier, smtpCourier } from './courier';
