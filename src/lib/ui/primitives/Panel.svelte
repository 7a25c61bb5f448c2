<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Attachment } from 'svelte/attachments';

  /**
   * A panel under the header, beside the work and not over it: a native dialog that takes the focus, closes by Escape and
   * gives the focus back to where it was.
   */
  let {
    label,
    onclose,
    closable = true,
    children
  }: { label: string; onclose: () => void; closable?: boolean; children: Snippet } = $props();

  const shown: Attachment<HTMLDialogElement> = (dialog) => {
    const before = document.activeElement as HTMLElement | null;
    dialog.show();
    dialog.focus();
    return () => {
      const inside = dialog.contains(document.activeElement) || document.activeElement === document.body;
      dialog.close();
      if (inside && before?.isConnected) before.focus();
    };
  };
  function key(e: KeyboardEvent) {
    if (e.key === 'Escape' && closable) onclose();
  }
</script>

<svelte:window onkeydown={key} />
<dialog class="no-print" aria-label={label} tabindex="-1" {@attach shown}>
  {@render children()}
  {#if closable}<button class="button" onclick={onclose}>Close</button>{/if}
</dialog>

<style>
  dialog {
    position: fixed;
    inset: 44px 0 auto auto;
    margin: 0;
    z-index: 6;
    width: min(340px, 100vw);
    max-height: calc(100vh - 60px);
    overflow: auto;
    padding: 14px 18px 18px;
    color: var(--ink);
    background: var(--sheet);
    border: 1.5px solid var(--ink);
    outline-offset: -5px;
  }
</style>
