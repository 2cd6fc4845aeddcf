/** Where the person is signed in. */
export interface OpenSession {
  readonly id: string;
  /** A word for the kind of device; empty where it did not tell. */
  readonly device: string;
  readonly openedAt: string;
  /** This very device. */
  readonly here: boolean;
}

export interface SignedInPerson {
  readonly id: string;
  readonly name: string;
  readonly role: 'driver' | 'mechanic' | 'supervisor';
  readonly depotId: string;
  readonly organisationId: string;
}
