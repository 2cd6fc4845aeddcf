export interface Cluster {
  /** As the owner of everything in it. */
  readonly url: string;
  /** Folder of its data. */
  readonly data: string;
  /** It ran already when it was asked for. */
  readonly wasRunning: boolean;
  readonly stop: () => void;
}

export function startCluster(options: {
  readonly folder: string;
  readonly settings?: Readonly<Record<string, string>>;
}): Promise<Cluster>;

/** The wanted port when nobody has it, else any free one on loopback. */
export function freePort(wanted: number): Promise<number>;
