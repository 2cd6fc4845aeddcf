/** Vehicles and attachments in one rig, at most: for a walk, a usual rig and a planned job alike. */
export const MOST_UNITS = 8;
