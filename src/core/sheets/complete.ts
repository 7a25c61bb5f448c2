import type { Field } from '../engine/fields.ts';
import type { Domain } from '../job/domain.ts';
import type { Manifest } from '../job/manifest.ts';
import { belonging } from '../job/rules.ts';
import { provedAt } from '../job/proved.ts';
import type { FlagWords, Look, RunSheet, SheetPlan, Step, StepChoice } from '../job/run-sheet.ts';

/**
 * A run sheet with everything it needs away from the list of trades. Its domains are those whose surfaces, schools or
 * slots its steps have; a step that brings the crank to the sheet's reference, or counts from it, cannot do without its value.
 */
export function complete(
  plan: SheetPlan,
  domains: readonly Domain[],
  manifests: readonly Manifest[],
  fields: Field[]
): RunSheet {
  const flags = flagWords(plan, manifests);
  const looks = new Map(
    manifests.flatMap((m) => Object.entries(m.proofs ?? {}).map(([f, p]) => [f, p.looks] as const))
  );
  const steps = plan.steps.map((s) => withLooks(withReference(s, plan.reference), flags, looks));
  const tradesOf = Object.fromEntries(steps.map((s) => [s.id, tradesFor(s, domains, manifests)]));
  const used = new Set(Object.values(tradesOf).flat());
  const schools = new Set(steps.flatMap((s) => s.schools));
  return {
    ...plan,
    steps,
    domains: domains.map((d) => d.name).filter((n) => used.has(n)),
    tradesOf,
    onlyFor: Object.fromEntries(manifests.flatMap((m) => (m.onlyFor && used.has(m.name) ? [[m.name, m.onlyFor]] : []))),
    words: {
      flags,
      hazards: Object.assign({}, ...manifests.map((m) => m.hazards)),
      schools: pick(Object.assign({}, ...manifests.map((m) => m.schools)), schools),
      parts: pick(Object.assign({}, ...manifests.map((m) => m.parts)), touched(steps)),
      fields
    },
    rules: belonging(
      manifests.flatMap((m) => m.rules),
      { ...plan, steps },
      flags
    )
  };
}

/** The states of every trade as this sheet calls them, each with what a step does that does not prove it. */
function flagWords(plan: SheetPlan, manifests: readonly Manifest[]): Record<string, FlagWords> {
  const flags: Record<string, FlagWords> = Object.assign({}, ...manifests.map((m) => m.flags));
  for (const [flag, called] of Object.entries(plan.calls ?? {})) flags[flag] = { ...flags[flag]!, ...called };
  for (const [flag, p] of manifests.flatMap((m) => Object.entries(m.proofs ?? {}))) {
    const w = flags[flag]!;
    const proof = {
      letters: p.letters,
      harm: p.harm,
      off: w.danger || p.off === true,
      looks: p.looks.map((l) => l.id),
      ...(p.goneWith && { goneWith: p.goneWith })
    };
    flags[flag] = { ...w, proof };
  }
  return flags;
}

/** A step with what must be seen, felt or answered for the states it gives: each once, whichever of them it proves. */
function withLooks(
  s: Step,
  flags: Readonly<Record<string, FlagWords>>,
  looks: ReadonlyMap<string, readonly StepChoice[]>
): Step {
  const all = new Map<string, Look>();
  for (const f of provedAt(s, flags))
    for (const l of looks.get(f) ?? []) {
      const known = all.get(l.id);
      all.set(l.id, { ...l, proves: [...(known?.proves ?? []), f] });
    }
  return all.size === 0 ? s : { ...s, choices: [...s.choices, ...all.values()] };
}

/** The trades whose surface, slots or schools a step has. */
function tradesFor(s: Step, domains: readonly Domain[], manifests: readonly Manifest[]): string[] {
  const slots = new Set(s.slots.map((x) => x.slot));
  const has = (d: Domain) =>
    Object.hasOwn(d.surfaces, s.surface) ||
    s.schools.some((x) => Object.hasOwn(d.schools ?? {}, x)) ||
    Object.keys(manifests.find((m) => m.name === d.name)?.slots ?? {}).some((x) => slots.has(x));
  return domains.filter(has).map((d) => d.name);
}

function withReference(s: Step, reference: string | undefined): Step {
  const needsIt = s.acts.includes('reaches-reference') || s.acts.includes('needs-reference');
  if (reference === undefined || !needsIt || s.values.includes(reference)) return s;
  return { ...s, values: [reference, ...s.values] };
}

/** The parts that steps touch or ask about. */
const touched = (steps: readonly Step[]): ReadonlySet<string> =>
  new Set(
    steps.flatMap((s) => [
      ...Object.keys(s.handles),
      ...s.choices.flatMap((c) => [c.part, ...c.options.map((o) => o.part)].filter((p) => p !== undefined))
    ])
  );

const pick = <T>(all: Record<string, T>, keys: ReadonlySet<string>): Record<string, T> =>
  Object.fromEntries(Object.entries(all).filter(([k]) => keys.has(k)));
