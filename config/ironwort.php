<?php

declare(strict_types=1);

return [
    // Where backups are kept: best on another disk.
    'backups' => env('IRONWORT_BACKUPS', (env('IRONWORT_VAR') ?: base_path('var')) . '/backups'),
    // Seals each backup; without it they are readable by whoever reads the folder.
    'passphrase' => env('IRONWORT_BACKUP_PASSPHRASE'),
];
