export { SignatureDrawing } from './signature-drawing';
export { SignaturePad } from './signature-pad';
