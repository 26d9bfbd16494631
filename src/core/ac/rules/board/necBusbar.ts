import type { Answer } from '../../../kernel/answer';
import { given, lacking } from '../../../kernel/answer';
import { published } from '../../../kernel/check';
import { atMost } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { BoardLoad } from '../../boardLoad';
import { bestBusbarWay } from '../../necBusbarWays';

type Way = NonNullable<ReturnType<typeof bestBusbarWay>['value']>;

function wayOf(b: BoardLoad): Answer<Way> {
  const asked = given(
    {
      inverters: b.sumA.value,
      'main breaker': b.board.mainBreakerA,
      'busbar rating': b.board.busbarA,
    },
    (k) => ({ sumA: k.inverters, mainA: k['main breaker'], busbarA: k['busbar rating'] }),
  );
  return asked.value === null ? lacking(...asked.missing) : bestBusbarWay(b, asked.value);
}

/** Busbar of the NEC school, A: one of the ways of 705.12(B) is enough. */
export const NEC_BUSBAR = rule<BoardLoad>()({
  id: 'ac.nec-busbar',
  title: 'Busbar takes the inverters by one of the ways of 705.12(B)',
  unit: 'A',
  basis: published('NFPA 70, 705.12(B)'),
  schools: ['NEC'],
  notOf: ['IEC', 'AU/NZ'],
  needs: { way: { as: 'busbar rating', answer: wayOf } },
  judge: ({ way }) =>
    atMost({
      value: way.askedA,
      limit: way.mostA,
      working: () => [...way.all.map((w) => w.words), `best: ${way.words}`],
    }),
});
