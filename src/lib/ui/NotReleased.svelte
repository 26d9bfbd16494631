<p class="sheet p-6">
  Nothing is released yet. The crew builds and records against a released design: release it above, then come back.
</p>
