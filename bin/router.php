<?php

declare(strict_types=1);

/*
 * For PHP's own web server: files under public/ are sent as they are, everything else goes to the application.
 */

$path = urldecode(parse_url($_SERVER['REQUEST_URI'] ?? '/', PHP_URL_PATH) ?: '/');
$file = realpath(dirname(__DIR__).'/public'.$path);
if ($path !== '/' && $file !== false && str_starts_with($file, dirname(__DIR__).'/public/') && is_file($file)) {
    // Built files carry a hash of their content in their name, so they may be kept for good.
    if (str_starts_with($path, '/build/assets/')) {
        header('Cache-Control: public, max-age=31536000, immutable');
        header('Content-Type: '.match (pathinfo($file, PATHINFO_EXTENSION)) {
            'js' => 'text/javascript',
            'css' => 'text/css',
            'woff2' => 'font/woff2',
            'svg' => 'image/svg+xml',
            default => 'application/octet-stream',
        });
        readfile($file);

        return true;
    }

    return false;
}

require dirname(__DIR__).'/public/index.php';
