export { HeadlineBanner } from './headline-banner';
export { KeptPhoto } from './kept-photo';
export { Gauge, limitDecimals } from './gauge';
export { RigDrawing, toBeads, type FaultMark, type StopBead } from './rig-drawing';
export { SignatureDrawing } from './signature-drawing';
