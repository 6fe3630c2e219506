import 'server-only'
import { createHash, randomBytes, webcrypto } from 'node:crypto'
import { Integer, ObjectIdentifier, OctetString, Sequence } from 'asn1js'
import {
  Attribute,
  type Certificate,
  ContentInfo,
  EncapsulatedContentInfo,
  id_ContentType_SignedData,
  id_eContentType_TSTInfo,
  IssuerAndSerialNumber,
  PKIStatus,
  PKIStatusInfo,
  SignedAndUnsignedAttributes,
  SignedData,
  SignerInfo,
  TimeStampReq,
  TimeStampResp,
  TSTInfo,
} from 'pkijs'
import { SIMULATED_CERTIFICATE } from '@/casefile/simulatedAuthority'
import { readCertificates } from '@/casefile/stamp'

/** Who signs time stamps. `named` is the certificate that is signed to be theirs: the same one, unless it is forged. */
type Authority = Readonly<{ certificate: Certificate; key: webcrypto.CryptoKey; named?: Certificate }>

/** PKCS 8: no secret, since the authority that it is of is a stand-in. */
const KEY =
  'MIGHAgEAMBMGByqGSM49AgEGCCqGSM49AwEHBG0wawIBAQQgX7p1mwkSDO09cvTyPpVDuop5gVi1rhw3QQHIFNYVFSSh' +
  'RANCAARsqnAhobPtfs84DExFPkqdbCXAjnGUVFsUrbPq3v3QsHZGkWq+guRVTVGJ0mmztzYK6rJvCS80GPqicDfqnZsA'
/** RFC 3161 asks for a policy: this is the arc of ITU-T X.660 for examples. */
const POLICY = '2.999.1'

/**
 * What a time-stamp authority answers to a query (RFC 3161), both in DER: the stand-in for one that is asked over the network.
 *
 * @param now - the time that it says, to the second
 * @param authority - who signs; absent: the simulated one
 */
export async function simulatedReply(
  query: Uint8Array,
  now: Date,
  authority?: Authority,
): Promise<Uint8Array> {
  const { certificate, key, named = certificate } = authority ?? (await simulated())
  const { messageImprint, nonce } = TimeStampReq.fromBER(Uint8Array.from(query))
  const genTime = new Date(Math.floor(now.getTime() / 1000) * 1000)
  const info = new TSTInfo({
    version: 1,
    policy: POLICY,
    messageImprint,
    serialNumber: new Integer({ valueHex: positive(randomBytes(16)) }),
    genTime,
    ...(nonce ? { nonce } : {}),
  })
  const content = info.toSchema().toBER()
  const sha256 = (bytes: ArrayBuffer) => createHash('sha256').update(new Uint8Array(bytes)).digest()
  const namedHash = sha256(named.toSchema().toBER())
  const signed = new SignedData({
    version: 3,
    encapContentInfo: new EncapsulatedContentInfo({
      eContentType: id_eContentType_TSTInfo,
      eContent: new OctetString({ valueHex: content }),
    }),
    certificates: [certificate],
    signerInfos: [
      new SignerInfo({
        version: 1,
        sid: new IssuerAndSerialNumber({
          issuer: certificate.issuer,
          serialNumber: certificate.serialNumber,
        }),
        signedAttrs: new SignedAndUnsignedAttributes({
          type: 0,
          attributes: [
            attribute('1.2.840.113549.1.9.3', new ObjectIdentifier({ value: id_eContentType_TSTInfo })),
            attribute('1.2.840.113549.1.9.4', new OctetString({ valueHex: sha256(content) })),
            // SigningCertificateV2 (RFC 5035): the SHA-256 of the certificate.
            attribute(
              '1.2.840.113549.1.9.16.2.47',
              nested(nested(nested(new OctetString({ valueHex: namedHash })))),
            ),
          ],
        }),
      }),
    ],
  })
  await signed.sign(key, 0, 'SHA-256')
  const reply = new TimeStampResp({
    status: new PKIStatusInfo({ status: PKIStatus.granted }),
    timeStampToken: new ContentInfo({
      contentType: id_ContentType_SignedData,
      content: signed.toSchema(true),
    }),
  })
  return new Uint8Array(reply.toSchema().toBER())
}

const attribute = (type: string, value: unknown) => new Attribute({ type, values: [value] })

const nested = (block: Sequence | OctetString) => new Sequence({ value: [block] })

/** A whole number in DER is negative where its first bit is set. */
function positive(bytes: Uint8Array): Uint8Array {
  bytes[0] = (bytes[0]! & 0x3f) | 0x40
  return bytes
}

async function simulated(): Promise<Authority> {
  const [certificate] = readCertificates(SIMULATED_CERTIFICATE)
  return { certificate: certificate!, key: await importKey(Buffer.from(KEY, 'base64')) }
}

/** A key for ECDSA on P-256, from PKCS 8. */
export const importKey = (pkcs8: Uint8Array): Promise<webcrypto.CryptoKey> =>
  webcrypto.subtle.importKey('pkcs8', pkcs8, { name: 'ECDSA', namedCurve: 'P-256' }, false, ['sign'])
