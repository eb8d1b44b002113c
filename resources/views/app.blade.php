<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="style-nonce" content="{{ request()->attributes->get('nonce') }}">
    <title>Isleward</title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    @viteReactRefresh
    @vite(['resources/css/app.css', 'resources/js/app.tsx'])
@foreach ($answers as $answer)
    <link rel="preload" as="fetch" href="{{ $answer }}" crossorigin="anonymous">
@endforeach
@foreach ($scripts as $script)
    <link rel="modulepreload" href="{{ $script }}">
@endforeach
@foreach ($then as $script)
    <link data-then href="{{ $script }}">
@endforeach
</head>
<body>
    <script type="application/json" id="session">{!! json_encode($session, JSON_HEX_TAG | JSON_HEX_AMP | JSON_THROW_ON_ERROR) !!}</script>
    <div id="app"></div>
</body>
</html>
