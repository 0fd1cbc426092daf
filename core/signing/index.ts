export { mergedSignatures } from './mergedSignatures';
export {
  MOST_SIGNATURES,
  OWN_ACCOUNT,
  SignatureSchema,
  signatureFor,
  signedWith,
  type Signature,
  type Writer,
} from './signature';
