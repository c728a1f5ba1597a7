<template>
  <div class="thing-line border-b border-line px-4 py-1.5 text-xs text-soft max-md:hidden!" aria-hidden="true">
    <span>thing</span><span>what it does</span><span class="pr-5 text-right">one weighs</span
    ><span class="text-center">how many</span><span />
  </div>
</template>
