{!! implode("\n", $lines) !!}

{!! $studio !!}
