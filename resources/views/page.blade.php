<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="theme-color" content="#2E5E6E">
    <meta property="csp-nonce" nonce="{{ $nonce }}">
    <title>Sarcina</title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    <link rel="manifest" href="/manifest.webmanifest">
    <link rel="apple-touch-icon" href="/icons/icon-192.png">
    @vite('resources/js/main.tsx')
</head>
<body>
    <div id="page"></div>
    <noscript>Sarcina needs scripts to run. Allow them for this site, then load the page again.</noscript>
</body>
</html>
