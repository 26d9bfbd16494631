<section class="sheet p-3 text-sm">
  <h2>Landing it</h2>
  <ul class="list-disc pl-5">
    <li>
      Shielded twisted pair, in–out from unit to unit, no star; same pair and colours everywhere; reference ground as
      third wire.
    </li>
    <li>Never trust the letters A and B: the line that is positive at rest is D1. Measure before you land.</li>
    <li>
      Every unit ships at address 1: power one at a time, write its address, read it back; the unit planned at 1 comes
      last.
    </li>
    <li>Shield carried through, earthed at the logger end only.</li>
  </ul>
</section>
