<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Honest Crown: that failed</title>
    <link rel="icon" href="/crown.svg" type="image/svg+xml">
</head>
<body style="max-width: 34rem; margin: 20vh auto 0; padding: 0 1.5rem; font: 1.1rem/1.6 sans-serif; color: #1f1a26">
    <h1 style="font-size: 1.6rem">{{ $why }}</h1>
    <p><a href="/">Go to the studio</a>, or go back and try once more.</p>
</body>
</html>
