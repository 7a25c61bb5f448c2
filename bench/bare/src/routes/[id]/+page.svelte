<script>
  let { data } = $props();
</script>

<h1>{data.row?.name}</h1>
<p>{data.row?.summary}</p>
