<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Honest Crown</title>
    <link rel="icon" href="/crown.svg" type="image/svg+xml">
    @vite(['resources/js/main.ts'])
</head>
<body>
    <div id="app"></div>
    <noscript>Honest Crown needs scripts to be allowed for this address.</noscript>
</body>
</html>
