import { createHash } from 'node:crypto'
import { type BaseBlock, ObjectIdentifier, OctetString, Sequence } from 'asn1js'
import {
  Certificate,
  CertificateChainValidationEngine,
  ContentInfo,
  type ExtKeyUsage,
  id_ContentType_Data,
  id_ContentType_SignedData,
  id_eContentType_TSTInfo,
  id_ExtKeyUsage,
  IssuerAndSerialNumber,
  SignedData,
  TSTInfo,
} from 'pkijs'
import { SIMULATED_FINGERPRINT } from './simulatedAuthority'
import type { Stamp } from '@/desk/trail/seal'
import { beginningOf, wellFormed } from '@/desk/typed'

/** The longest time stamp that is looked at: with a chain of certificates they come to some 10,000 bytes. */
export const MAX_TOKEN = 100_000

export const SHA_256 = '2.16.840.1.101.3.4.2.1'
const TIME_STAMPING = '1.3.6.1.5.5.7.3.8'
const [CONTENT_TYPE, NAMES_CERTIFICATE, NAMES_CERTIFICATE_V2] = [
  '1.2.840.113549.1.9.3',
  '1.2.840.113549.1.9.16.2.12',
  '1.2.840.113549.1.9.16.2.47',
]
const HASHES: Readonly<Record<string, string>> = {
  '1.3.14.3.2.26': 'sha1',
  [SHA_256]: 'sha256',
  '2.16.840.1.101.3.4.2.2': 'sha384',
  '2.16.840.1.101.3.4.2.3': 'sha512',
}

/**
 * A time-stamp token (RFC 3161) in DER, verified by the certificate of its authority that it holds: whose it is has to be looked
 * at besides (`isFrom`).
 *
 * @returns undefined where it is none over a SHA-256, or not what the holder of that certificate signed
 */
export async function readStamp(token: Uint8Array): Promise<Stamp | undefined> {
  try {
    const { signed, info, authority } = partsOf(token)
    const { hashAlgorithm, hashedMessage } = info.messageImprint
    const hash = hexOf(hashedMessage.valueBlock.valueHexView)
    if (hashAlgorithm.algorithmId !== SHA_256 || hash.length !== 64) return undefined
    const { notBefore, notAfter } = authority
    if (info.genTime < notBefore.value || info.genTime > notAfter.value) return undefined
    if (!isForTimeStamps(authority) || !namesCertificate(signed, authority)) return undefined
    // The library would hold it against the text it is over; here it is held against the trail, by its hash.
    signed.encapContentInfo.eContentType = id_ContentType_Data
    if (!(await signed.verify({ signer: 0 }))) return undefined
    const certificate = fingerprintOf(authority)
    const isSimulated = certificate === SIMULATED_FINGERPRINT
    return { hash, at: info.genTime.toISOString(), by: nameOf(authority), certificate, isSimulated }
  } catch {
    return undefined
  }
}

/**
 * Whether the certificate that a time stamp was verified by is one of these, or was issued under one of them and valid at the time.
 * Whether it was revoked since is not looked at: no network is asked.
 *
 * @param token - one that `readStamp` reads
 */
export async function isFrom(token: Uint8Array, authorities: readonly Certificate[]): Promise<boolean> {
  const { signed, info, authority } = partsOf(token)
  const isAuthority = (one: Certificate) => fingerprintOf(one) === fingerprintOf(authority)
  if (authorities.some(isAuthority)) return true
  const between = certificatesIn(signed).filter((one) => !isAuthority(one))
  const engine = new CertificateChainValidationEngine({
    trustedCerts: [...authorities],
    // The last one is the one that is looked at.
    certs: [...between, authority],
    checkDate: info.genTime,
  })
  return (await engine.verify({ passedWhenNotRevValues: true })).result
}

/**
 * What a time stamp says, whoever signed it.
 *
 * @throws where it is none
 */
export const infoIn = (token: Uint8Array): TSTInfo => partsOf(token).info

/** The certificates in a PEM file; none where it holds no certificate, or one that can't be read. */
export function readCertificates(pem: string): readonly Certificate[] {
  const blocks = pem.match(/-----BEGIN CERTIFICATE-----[^-]*-----END CERTIFICATE-----/g) ?? []
  try {
    return blocks.map((block) =>
      Certificate.fromBER(Buffer.from(block.replace(/-----[^-]*-----/g, ''), 'base64')),
    )
  } catch {
    return []
  }
}

/** @throws where it is no time stamp with one signer and that signer's certificate */
function partsOf(token: Uint8Array) {
  if (token.length > MAX_TOKEN) throw new Error('too long')
  const content = ContentInfo.fromBER(Uint8Array.from(token))
  if (content.contentType !== id_ContentType_SignedData) throw new Error('not signed')
  const signed = new SignedData({ schema: content.content })
  const { eContentType, eContent } = signed.encapContentInfo
  if (eContentType !== id_eContentType_TSTInfo || !eContent) throw new Error('no time stamp')
  const [signer, ...others] = signed.signerInfos
  if (!signer || others.length > 0) throw new Error('not one signer')
  const { sid } = signer
  const authority =
    sid instanceof IssuerAndSerialNumber
      ? certificatesIn(signed).find(
          ({ issuer, serialNumber }) => issuer.isEqual(sid.issuer) && serialNumber.isEqual(sid.serialNumber),
        )
      : undefined
  if (!authority) throw new Error('no certificate')
  return { signed, info: TSTInfo.fromBER(eContent.getValue()), authority }
}

const certificatesIn = ({ certificates = [] }: SignedData): Certificate[] =>
  certificates.filter((one) => one instanceof Certificate)

/** RFC 3161, 2.3: for time stamps and for nothing else, and critical. */
function isForTimeStamps({ extensions = [] }: Certificate): boolean {
  return extensions.some(
    ({ extnID, critical, parsedValue }) =>
      extnID === id_ExtKeyUsage &&
      critical &&
      (parsedValue as ExtKeyUsage).keyPurposes.join() === TIME_STAMPING,
  )
}

/** RFC 3161, 2.4.2 and RFC 5816: what is signed says that it is a time stamp, and by which certificate. */
function namesCertificate({ signerInfos }: SignedData, certificate: Certificate): boolean {
  const attributes = signerInfos[0]!.signedAttrs?.attributes ?? []
  const [type] = attributes.find(({ type }) => type === CONTENT_TYPE)?.values ?? []
  if (!(type instanceof ObjectIdentifier) || type.getValue() !== id_eContentType_TSTInfo) return false
  const named = attributes.find(({ type }) => type === NAMES_CERTIFICATE || type === NAMES_CERTIFICATE_V2)
  const parts = partsIn(partsIn(partsIn(named?.values[0])[0])[0])
  const [first] = parts
  const [stated] = partsIn(first)
  const usual = named?.type === NAMES_CERTIFICATE ? 'sha1' : 'sha256'
  const algorithm = stated instanceof ObjectIdentifier ? HASHES[stated.getValue()] : usual
  const hash = parts.find((part) => part instanceof OctetString)
  return (
    algorithm !== undefined &&
    hash instanceof OctetString &&
    hexOf(hash.valueBlock.valueHexView) === digestOf(certificate, algorithm)
  )
}

const partsIn = (block: BaseBlock | undefined): readonly BaseBlock[] =>
  block instanceof Sequence ? block.valueBlock.value : []

/** As it came: put together anew from its parts it could have another spelling. */
const derOf = (certificate: Certificate) => new Uint8Array(certificate.toSchema().toBER())

const digestOf = (certificate: Certificate, algorithm: string): string =>
  createHash(algorithm).update(derOf(certificate)).digest('hex')

const fingerprintOf = (certificate: Certificate): string => digestOf(certificate, 'sha256')

const hexOf = (bytes: Uint8Array): string => Buffer.from(bytes).toString('hex')

const [COMMON_NAME, ORGANIZATION] = ['2.5.4.3', '2.5.4.10']
const LONGEST_NAME = 200

function nameOf({ subject }: Certificate): string {
  const named = (type: string) => subject.typesAndValues.find((one) => one.type === type)?.value.getValue()
  const name = String(named(COMMON_NAME) ?? named(ORGANIZATION) ?? 'an authority without a name')
  return beginningOf(wellFormed(name.replace(/\p{Cc}/gu, ' ')), LONGEST_NAME)
}
