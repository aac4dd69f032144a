import ipaddr from 'ipaddr.js';

/** How much of an address is one household or one room: what one customer of a provider usually gets. */
const BITS = { ipv4: 24, ipv6: 56 } as const;

/** The block that an address lies in, as a text; an address that cannot be read is a block of its own. */
export const blockOf = (address: string): string => {
  if (!ipaddr.isValid(address)) return address;
  const read = ipaddr.process(address);
  const bits = BITS[read.kind()];
  const bytes = read
    .toByteArray()
    .map((byte, i) => byte & (0xff << Math.max(0, Math.min(8, 8 * (i + 1) - bits))) & 0xff);
  return `${ipaddr.fromByteArray(bytes).toString()}/${bits}`;
};
