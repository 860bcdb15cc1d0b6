/** Where the clock of this machine stands, IANA. */
export const zoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;
