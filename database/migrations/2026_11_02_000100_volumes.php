<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * The volume of a system as it was measured, and which figure doses go by.
 *
 * Protects: a measured volume keeps what it was worked out from; a choice is never changed, only
 * followed by another, so that a dose of last year can be read with the volume of last year.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE volume_measures (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                user_id    char(26) REFERENCES users (id),
                method     varchar(8) NOT NULL CHECK (method IN ('meter', 'salt')),
                input      jsonb NOT NULL,
                volume_l   double precision NOT NULL CHECK (volume_l > 0),
                low_l      double precision NOT NULL,
                high_l     double precision NOT NULL,
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                UNIQUE (system_id, id),
                CHECK (low_l <= volume_l AND volume_l <= high_l)
            );
            CREATE TABLE volume_choices (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                user_id    char(26) REFERENCES users (id),
                measure_id char(26),
                volume_l   double precision NOT NULL CHECK (volume_l > 0),
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                FOREIGN KEY (system_id, measure_id) REFERENCES volume_measures (system_id, id)
            );
            CREATE INDEX volume_measures_system ON volume_measures (system_id, created_at DESC);
            CREATE INDEX volume_choices_system ON volume_choices (system_id, created_at DESC, id DESC);
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('DROP TABLE volume_choices, volume_measures');
    }
};
