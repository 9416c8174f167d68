<?php

declare(strict_types=1);

// The core stands alone: only its own classes and those of the test libraries are found here, so a
// use of the framework would fail to load rather than pass unnoticed.
require dirname(__DIR__) . '/autoload.php';

foreach (
    [
        'Opis\\JsonSchema\\' => 'opis/json-schema/src',
        'Opis\\Uri\\' => 'opis/uri/src',
        'Opis\\String\\' => 'opis/string/src',
    ]
    as $prefix => $folder
) {
    spl_autoload_register(static function (string $class) use ($prefix, $folder): void {
        if (str_starts_with($class, $prefix)) {
            $file =
                dirname(__DIR__, 2) .
                "/vendor/{$folder}/" .
                str_replace('\\', '/', substr($class, strlen($prefix))) .
                '.php';
            if (is_file($file)) {
                require $file;
            }
        }
    });
}
