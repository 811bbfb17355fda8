<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="theme-color" content="#f7f1e5">
    <title>Nasturtium</title>
    <link rel="icon" href="/leaf.svg" type="image/svg+xml">
    @viteReactRefresh
    @vite('resources/js/main.tsx')
</head>
<body>
    <div id="app"></div>
    <noscript>Nasturtium needs JavaScript to engrave music.</noscript>
</body>
</html>
