<script lang="ts">
  interface Props {
    find: string;
    found: number;
    /** Enter was pressed */
    onenter: () => void;
  }
  let { find = $bindable(), found, onenter }: Props = $props();
  let field = $state<HTMLInputElement>();
  export const focus = () => field?.focus();

  function key(e: KeyboardEvent) {
    if (e.key === 'Enter') onenter();
    if (e.key !== 'Escape') return;
    find = '';
    field?.blur();
  }
</script>

<div class="line">
  <label class="only-read" for="find">Find a job</label>
  <input id="find" bind:this={field} bind:value={find} placeholder="find" autocomplete="off" onkeydown={key} />
  <span class="soft">{find ? `${found} found, Enter opens the first` : 'type words to find a job'}</span>
  <span class="keys" aria-hidden="true"
    ><kbd>N</kbd> new job <kbd>J</kbd> <kbd>K</kbd> move <kbd>Enter</kbd> open <kbd>?</kbd> keys</span
  >
</div>

<style>
  .line {
    display: flex;
    align-items: center;
    gap: 18px;
    min-height: 62px;
    padding: 6px 18px;
  }
  input {
    width: 230px;
    border: 0;
    border-bottom: 2px solid var(--on-line);
    background: none;
    color: var(--on-line);
    font-stretch: 76%;
    font-size: var(--t7);
    font-weight: 600;
    padding: 0;
    border-radius: 0;
  }
  input::placeholder {
    color: #93a59c;
    opacity: 1;
  }
  input:focus-visible {
    outline: none;
    border-bottom-color: var(--caret);
    box-shadow: 0 2px 0 var(--caret);
  }
  .soft,
  .keys {
    color: var(--on-line-2);
  }
  .keys {
    margin-left: auto;
    font-size: var(--t2);
  }
  @media (max-width: 900px) {
    .keys {
      display: none;
    }
  }
  @media (max-width: 620px) {
    .soft {
      display: none;
    }
  }
</style>
