export { HeadlineBanner } from './headline-banner';
export { KeptPhoto } from './kept-photo';
export { Gauge, limitDecimals } from './gauge';
export { PhotoStrip } from './photo-strip';
export { RigDrawing, toBeads, type FaultMark, type StopBead } from './rig-drawing';
export { RigSide } from './rig-side';
export { unitAlone } from './unit-alone';
export { CodeCamera } from './code-camera';
export { SquareCode } from './square-code';
