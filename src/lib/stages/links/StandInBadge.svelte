<span
  class="inline-block border-2 border-dashed border-tight px-1.5 text-sm font-bold tracking-wide text-tight uppercase"
  >Stand-in, no real device</span
>
