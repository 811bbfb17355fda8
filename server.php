<?php

declare(strict_types=1);

/*
 * The router of PHP's own server, which `artisan serve` takes from here. Files of the build go out as nginx gives them
 * (docs/operations.md): gzipped where the build has made a gzipped twin, and kept by the browser for a year, since their
 * names change with what is in them. Other files are the server's, and whatever is no file is the application's.
 */

const TYPES = ['js' => 'text/javascript', 'css' => 'text/css', 'svg' => 'image/svg+xml', 'woff2' => 'font/woff2', 'woff' => 'font/woff', 'mp3' => 'audio/mpeg', 'wasm' => 'application/wasm', 'bin' => 'application/octet-stream', 'json' => 'application/json'];

$public = __DIR__.'/public';
$path = rawurldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
$file = realpath($public.$path);
$type = TYPES[pathinfo($path, PATHINFO_EXTENSION)] ?? null;
if ($type !== null && $file !== false && str_starts_with($file, $public.'/build/assets/')) {
    header("Content-Type: {$type}".(str_starts_with($type, 'text/') ? '; charset=utf-8' : ''));
    header('Cache-Control: public, max-age=31536000, immutable');
    header('X-Content-Type-Options: nosniff');
    header('Vary: Accept-Encoding');
    header_remove('X-Powered-By');
    if (is_file("{$file}.gz") && str_contains((string) ($_SERVER['HTTP_ACCEPT_ENCODING'] ?? ''), 'gzip')) {
        header('Content-Encoding: gzip');
        $file .= '.gz';
    }
    header('Content-Length: '.filesize($file));
    readfile($file);

    return true;
}
if ($path !== '/' && $file !== false && is_file($file) && str_starts_with($file, $public.'/')) {
    return false;
}
file_put_contents('php://stdout', '['.date('D M j H:i:s Y')."] {$_SERVER['REMOTE_ADDR']}:{$_SERVER['REMOTE_PORT']} [{$_SERVER['REQUEST_METHOD']}] URI: {$path}\n");

require_once $public.'/index.php';
