import fc from 'fast-check';
import { type Findings, NO_FINDINGS } from './findings';
import { mergeFindings } from './merge-findings';

const NAMES = ['wind_mps', 'place', 'phase', 'nose'];
const evidence = fc.dictionary(fc.constantFrom(...NAMES), fc.constantFrom('a', 'b', 'c'), { maxKeys: 4 });
const findings: fc.Arbitrary<Findings> = fc
  .record({
    evidence,
    primary: fc.constantFrom(null, 'overcontrol', 'thin-thing'),
    damage: fc.subarray(['Rotor', 'Arm']),
    wentWell: fc.constantFrom('', 'Kept calm.'),
    thirdParty: fc.boolean(),
  })
  .map((part) => ({ ...NO_FINDINGS, ...part }) as unknown as Findings);

const told = ({ evidence: answers, ...rest }: Findings): Map<string, string> =>
  new Map([
    ...Object.entries(answers).map(([name, value]) => [`evidence.${name}`, JSON.stringify(value)] as const),
    ...Object.entries(rest).map(([name, value]) => [name, JSON.stringify(value)] as const),
  ]);

test('what one changed is taken, what nobody changed stays, what both changed is mine and said', () => {
  fc.assert(
    fc.property(findings, findings, findings, (base, mine, theirs) => {
      const merged = mergeFindings({ base, mine, theirs });
      const [b, m, t, result] = [base, mine, theirs, merged.findings].map(told);
      for (const name of new Set([...b!.keys(), ...m!.keys(), ...t!.keys()])) {
        // By cases, as one would do it by hand.
        const [was, own, other] = [b!.get(name), m!.get(name), t!.get(name)];
        const wanted = own === other ? own : was === own ? other : own;
        expect([name, result!.get(name)]).toEqual([name, wanted]);
        expect([name, merged.both.includes(name)]).toEqual([
          name,
          own !== other && was !== own && was !== other,
        ]);
      }
    }),
  );
});

test('whose turn it is changes nothing but who wins where both changed', () => {
  fc.assert(
    fc.property(findings, findings, findings, (base, a, b) => {
      const [one, other] = [
        mergeFindings({ base, mine: a, theirs: b }),
        mergeFindings({ base, mine: b, theirs: a }),
      ];
      expect([...one.both].sort()).toEqual([...other.both].sort());
      if (one.both.length === 0) expect(told(one.findings)).toEqual(told(other.findings));
    }),
  );
});

test('an answer that one took away stays away, and one that both gave alike is no matter', () => {
  const base = { ...NO_FINDINGS, evidence: { place: 'field', phase: 'hover' } };
  const mine = { ...base, evidence: { phase: 'hover', nose: 'left' } };
  const theirs = { ...base, evidence: { ...base.evidence, nose: 'left' } };
  expect(mergeFindings({ base, mine, theirs })).toEqual({
    findings: { ...base, evidence: { phase: 'hover', nose: 'left' } },
    both: [],
  });
});
