<?php

declare(strict_types=1);

/*
 * A site, its owner and one system of it, for benches that measure what a new book does. Whoever asks for it takes it
 * away again.
 */

use App\Models\Role;
use App\Models\Site;
use App\Models\System;
use App\Models\User;

/** @return array{Site, User, System} */
return static function (): array {
    $site = Site::query()->create(['name' => 'Bench', 'timezone' => 'Europe/London', 'altitude_m' => 0]);
    $user = User::query()->create([
        'site_id' => $site->id,
        'name' => 'Bench',
        'email' => 'bench@bench.example',
        'role' => Role::Owner,
        'password' => 'a long password',
    ]);
    $system = System::query()->create([
        'site_id' => $site->id,
        'name' => 'Bench',
        'slug' => 'bench',
        'kind' => 'holding',
        'life_stage' => 'adult',
    ]);

    return [$site, $user, $system];
};
