<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Water changed, and water topped up after evaporation, which is kept apart: it brings minerals and takes nothing out.
 *
 * Protects: a change is more than nothing and no more than the volume that doses used then.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE changes (
                id           char(26) PRIMARY KEY,
                site_id      char(26) NOT NULL,
                system_id    char(26) NOT NULL,
                user_id      char(26) REFERENCES users (id),
                water_id     char(26) REFERENCES waters (id),
                kind         varchar(8) NOT NULL CHECK (kind IN ('batch', 'topup')),
                litres       double precision NOT NULL CHECK (litres > 0),
                volume_l     double precision NOT NULL CHECK (volume_l > 0),
                changed_at   timestamptz NOT NULL,
                withdrawn_at timestamptz,
                created_at   timestamptz NOT NULL DEFAULT now(),
                updated_at   timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                CHECK (litres <= volume_l)
            );
            CREATE INDEX changes_system ON changes (system_id, changed_at DESC) WHERE withdrawn_at IS NULL;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('DROP TABLE changes;');
    }
};
