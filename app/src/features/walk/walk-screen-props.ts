export interface WalkScreenProps {
  readonly inspectionId: string;
  /** Check to come back to, from a fault. */
  readonly at?: string;
  /** `symptomId` where a played cycle has named it already. */
  readonly onFault: (key: string, symptomId?: string) => void;
  readonly onVerdict: () => void;
  readonly onReport: () => void;
  readonly onLeave: () => void;
}
