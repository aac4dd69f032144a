import { toASCII } from 'tr46';

/** Longest address and longest part before the @, in characters (RFC 5321, 4.5.3.1). */
export const EMAIL_LIMIT = 254;
const LOCAL_LIMIT = 64;
/** Controls, zero-width and other characters that nobody sees, private and unassigned ones, halves of a pair, spaces. */
const UNSEEN = /[\p{C}\p{Z}]/u;
/** What stands before the @ without quotes: letters and digits of any script, and the signs that RFC 5322 (3.2.3) lets stand there. */
const LOCAL = /^[\p{L}\p{M}\p{N}!#$%&'*+/=?^_`{|}~-]+(\.[\p{L}\p{M}\p{N}!#$%&'*+/=?^_`{|}~-]+)*$/u;

/**
 * The one form in which an address is kept and compared: trimmed, composed (NFC), in lower case, its domain in ASCII by IDNA (UTS 46, not transitional).
 * Undefined where it is no address: with characters that nobody sees, with letters before the @ that are written in another way than they are read
 * (full-width and the like), or with a domain that cannot be one.
 *
 * `normalEmail(' Coach@Tidegate.EXAMPLE ')` is `coach@tidegate.example`; `coach@tidegate.exàmple` is another address, `coach@tidegate.xn--exmple-jta`.
 */
export const normalEmail = (text: string): string | undefined => {
  const said = text.trim().normalize('NFC');
  if (UNSEEN.test(said)) return undefined;
  const at = said.lastIndexOf('@');
  const local = said.slice(0, at).toLowerCase().normalize('NFC');
  if (at < 1 || local.length > LOCAL_LIMIT || !LOCAL.test(local) || local.normalize('NFKC') !== local) return undefined;
  const domain = toASCII(said.slice(at + 1), {
    checkHyphens: true,
    checkBidi: true,
    checkJoiners: true,
    useSTD3ASCIIRules: true,
    verifyDNSLength: true,
    transitionalProcessing: false,
  });
  const email = `${local}@${domain ?? ''}`;
  return domain === null || email.length > EMAIL_LIMIT ? undefined : email;
};
