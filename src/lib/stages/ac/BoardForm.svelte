<script lang="ts">
  import type { Board } from '$core/site/parts';
  import { boardSchema } from '$core/site/parts';
  import { useSite } from '$lib/client/siteState.svelte';
  import { acOf } from './acOf';
  import { sectionChoices } from './runGroups';
  import { schoolOf } from '$core/conductor/schools';
  import EditForm from '$lib/ui/form/EditForm.svelte';

  const site = useSite();
  const nec = $derived(site.design.survey.school === 'NEC');
  const boardForm = boardSchema.omit({ position: true });
</script>

<section class="sheet p-3" aria-labelledby="board" data-part="board">
  <h2 id="board" class="mb-2">Board</h2>
  {#key site.design.board}
    <EditForm
      schema={boardForm}
      value={site.design.board}
      groups={[
        {
          title: '',
          paths: [
            'label',
            'busbarA',
            'busbarIcwKa',
            'mainBreakerA',
            'mainAmbientC',
            'mainMagneticA',
            'mainDelayS',
            'mainInstantA',
            ...(nec ? ['mainFullRated', 'sourcesFarEnd', 'loadBreakersA'] : []),
          ],
        },
        {
          title: 'Cable from the transformer',
          paths: [
            'mainMetal',
            'mainInsulation',
            ...(nec ? ['mainRaceway'] : []),
            'mainSectionMm2',
            'mainParallel',
            'mainPeMm2',
            'mainLengthM',
          ],
        },
        { title: 'Curves of the makers, where they are at hand', paths: ['mainCurve', 'branchCurves'] },
      ]}
      choices={sectionChoices(schoolOf(site.design.survey.school))}
      prefix="board"
      label="Save the board"
      save={(value) =>
        site.apply({ kind: 'board', board: { ...site.design.board, ...(value as Omit<Board, 'position'>) } })}
    />
  {/key}
  {#if site.design.board.mainCurve.length > 1 && site.design.board.branchCurves.length > 1}
    {#await import('./TripCurves.svelte') then { default: TripCurves }}
      <TripCurves board={site.design.board} faultA={acOf(site).board.supply.gridA.value} />
    {/await}
  {/if}
</section>
