<script lang="ts">
  import type { Survey } from '$core/site/survey';
  import { surveySchema } from '$core/site/survey';
  import type { Question } from '$core/site/temperatureQuestions';
  import { openTemperatureQuestions } from '$core/site/temperatureQuestions';
  import { useSite } from '$lib/client/siteState.svelte';
  import EditForm from '$lib/ui/form/EditForm.svelte';
  import VerdictMark from '$lib/ui/VerdictMark.svelte';

  const site = useSite();
  const survey = $derived(site.design.survey);
  const GROUPS = [
    { title: 'Place', paths: ['name', 'place', 'latitudeDeg', 'longitudeDeg', 'altitudeM', 'timeZone'] },
    {
      title: 'Design temperatures and DC',
      paths: [
        'coldestC',
        'hottestC',
        'school',
        'building',
        'dcLegalMaxV',
        'coldMethod',
        'engineeredDocument',
        'countUocTolerance',
      ],
    },
    {
      title: 'Grid',
      paths: [
        'lineV',
        'frequencyHz',
        'service',
        'electrodeOhm',
        'transformerKva',
        'transformerImpedancePercent',
        'transformerLossKw',
        'upstreamMva',
        'upstreamXr',
        'restLineV',
        'boardHighestV',
        'gridCode',
      ],
    },
    { title: 'Fitted on site', paths: ['rcdFitted', 'stopFitted', 'contactsFitted'] },
  ];
  /** What looks like a slip in the design temperatures; an answer is kept for the very values. */
  const questions = $derived(openTemperatureQuestions(survey));
  const confirm = ({ question, of }: Question) =>
    site.apply({
      kind: 'survey',
      survey: { ...survey, confirmed: [...survey.confirmed, { question, of }].slice(-50) },
    });
</script>

<section class="sheet p-3" data-part="grid">
  <h2 class="mb-1">Place and grid</h2>
  {#key survey}
    <EditForm
      schema={surveySchema}
      value={survey}
      groups={GROUPS}
      prefix="survey"
      label="Save the survey"
      save={(value) => site.apply({ kind: 'survey', survey: value as Survey })}
    />
  {/key}
  {#if questions.length}
    <ul class="mt-2 border-l-4 border-tight bg-paper px-3 py-2 text-sm" aria-label="Asked about the temperatures">
      {#each questions as q (q.question)}
        <li class="flex flex-wrap items-center gap-3">
          <VerdictMark verdict="unknown" word={false} />
          {q.text}
          <button type="button" class="underline" onclick={() => confirm(q)}>It is right, keep it</button>
        </li>
      {/each}
    </ul>
  {/if}
  <p class="mt-2 max-w-prose text-sm text-dim">
    Lowest temperature: the coldest expected morning, not a typical year’s. The legal DC limit depends on the edition in
    force: 1500 V, or 1000 V on buildings under older ones.
  </p>
</section>
