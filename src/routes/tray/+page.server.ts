import { fail, type ActionFailure } from '@sveltejs/kit';
import {
  enterGauge,
  enterMove,
  enterPart,
  enterSpring,
  enterStop,
  type Entered,
  type NewPart,
  type Typed
} from '$core/tray/enter.ts';
import { mustAct } from '$lib/server/auth/who.ts';
import { Refusal, violated } from '$lib/server/errors.ts';
import { readForm } from '$lib/server/forms.ts';
import { orError } from '$lib/server/load.ts';
import { addGauge } from '$lib/server/repositories/gauges.ts';
import { newId } from '$lib/server/repositories/ids.ts';
import { addStock, moveStock } from '$lib/server/repositories/stock.ts';
import { tray } from '$lib/server/repositories/tray.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = () => orError(tray());

type Form = 'gauge' | 'part' | 'spring' | 'stop' | 'move';
interface By {
  id: string;
  name: string;
}
interface Refused {
  form: Form;
  message: string;
  sent: Typed;
}

/** One form of the page: understood by the core, done, and what can go wrong turned into a sentence beside it. */
const action =
  <T>(form: Form, understand: (typed: Typed) => Entered<T>, act: (what: T, by: By) => Promise<string>) =>
  async (event: {
    request: Request;
    locals: App.Locals;
  }): Promise<ActionFailure<Refused> | { form: Form; added: string }> => {
    let sent: Typed = {};
    const refuse = (status: number, message: string) => fail(status, { form, message, sent });
    try {
      sent = await readForm(event.request);
      const by = mustAct(event.locals, sent.by);
      const entered = understand(sent);
      return entered.ok ? { form, added: await act(entered.out, by) } : refuse(422, entered.message);
    } catch (e) {
      if (e instanceof Refusal) return refuse(e.status, e.message);
      if (violated(e)) return refuse(409, 'There is something of that name already.');
      throw e;
    }
  };

async function putPart({ count, ...part }: NewPart, by: By): Promise<string> {
  await addStock({ ...part, id: newId(part.name) }, count, by);
  return part.name;
}

export const actions: Actions = {
  gauge: action('gauge', enterGauge, async (gauge) => {
    await addGauge({ ...gauge, id: newId(gauge.name) });
    return gauge.name;
  }),
  part: action('part', enterPart, putPart),
  spring: action('spring', enterSpring, putPart),
  stop: action('stop', enterStop, putPart),
  move: action('move', enterMove, async (m, by) => {
    await moveStock(m.item, m.change, m.reason, by);
    return 'Noted';
  })
};
