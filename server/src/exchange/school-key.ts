import { generateKeyPair, randomBytes, X509Certificate } from 'node:crypto';
import { promisify } from 'node:util';
import forge from 'node-forge';
import { v7 as uuid } from 'uuid';
import type { SchoolTx } from '../db/in-school';

/** What a school signs with, as PEM. */
export interface SchoolKey {
  readonly privateKey: string;
  readonly certificate: string;
}

const BITS = 3072;
const YEARS = 20;
const makePair = promisify(generateKeyPair);

/** A key and a certificate that it signs itself: nobody vouches for a school but the school. */
async function newKey(schoolName: string): Promise<SchoolKey> {
  const { privateKey, publicKey } = await makePair('rsa', {
    modulusLength: BITS,
    publicKeyEncoding: { type: 'spki', format: 'pem' },
    privateKeyEncoding: { type: 'pkcs8', format: 'pem' },
  });
  const certificate = forge.pki.createCertificate();
  certificate.publicKey = forge.pki.publicKeyFromPem(publicKey);
  // A leading zero keeps the number positive (RFC 5280, 4.1.2.2).
  certificate.serialNumber = `00${randomBytes(15).toString('hex')}`;
  const [from, to] = [new Date(), new Date()];
  to.setUTCFullYear(to.getUTCFullYear() + YEARS);
  certificate.validity.notBefore = from;
  certificate.validity.notAfter = to;
  const name = [
    // 64 characters at most (RFC 5280, upper bounds).
    { shortName: 'CN', value: [...schoolName].slice(0, 64).join(''), valueTagClass: forge.asn1.Type.UTF8 },
    { shortName: 'OU', value: 'Training records' },
  ];
  certificate.setSubject(name as forge.pki.CertificateField[]);
  certificate.setIssuer(name as forge.pki.CertificateField[]);
  certificate.setExtensions([
    // It stands for itself, and so at the root: a strict check of the chain asks for both.
    { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
    { name: 'keyUsage', digitalSignature: true, nonRepudiation: true, keyCertSign: true, critical: true },
    { name: 'subjectKeyIdentifier' },
  ]);
  certificate.sign(forge.pki.privateKeyFromPem(privateKey), forge.md.sha256.create());
  return { privateKey, certificate: forge.pki.certificateToPem(certificate) };
}

/** The school's key, made with the first record that is signed. */
export async function keyOfSchool({ tx, schoolId }: SchoolTx): Promise<SchoolKey> {
  const oldest = () =>
    tx('school_keys').orderBy(['made_at', 'id']).first('private_key', 'certificate') as Promise<
      SchoolKey | undefined
    >;
  const there = await oldest();
  if (there) return there;
  // Of two that ask first at once the later one waits, and finds what the other made.
  await tx.raw('select pg_advisory_xact_lock(hashtextextended(?, 0))', [`key of ${schoolId}`]);
  const meanwhile = await oldest();
  if (meanwhile) return meanwhile;
  const { name } = (await tx('schools').where({ id: schoolId }).first('name')) as { name: string };
  await tx('school_keys').insert({ schoolId, id: uuid(), ...(await newKey(name)) });
  return (await oldest())!;
}

/** What tells a certificate from any other: SHA-256 of it, in pairs of hexadecimal figures. */
export const certificateFingerprint = (certificate: string): string =>
  new X509Certificate(certificate).fingerprint256;
