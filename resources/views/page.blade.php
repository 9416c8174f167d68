<!DOCTYPE html>
<html lang="en-GB">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="theme-color" content="#1f5560">
    <title>Ironwort</title>
    @vite('front/src/main.ts')
</head>
<body>
    <div id="app"></div>
    <noscript>Ironwort needs JavaScript in the browser.</noscript>
</body>
</html>
