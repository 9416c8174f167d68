<?php

declare(strict_types=1);

// Finds the classes of the core without Composer, so that calculations need nothing but PHP.
spl_autoload_register(static function (string $class): void {
    if (str_starts_with($class, 'Ironwort\\Core\\')) {
        $file = __DIR__ . '/src/' . str_replace('\\', '/', substr($class, 14)) . '.php';
        if (is_file($file)) {
            require $file;
        }
    }
});
