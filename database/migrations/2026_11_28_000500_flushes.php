<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A stage that was flushed, or seen to be so far fouled, is an entry with its time and person, and can be taken back.
 *
 * Protects: it is written once; what the stage was told before comes back with it.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE flushes (
                id                 char(26) PRIMARY KEY,
                site_id            char(26) NOT NULL,
                system_id          char(26) NOT NULL,
                user_id            char(26) REFERENCES users (id),
                stage_id           char(26) NOT NULL,
                name               varchar(60) NOT NULL,
                happened_at        timestamptz NOT NULL,
                seen_pct           double precision CHECK (seen_pct BETWEEN 0 AND 100),
                was_cleaned_on     date,
                was_fouling_pct    double precision,
                was_fouling_seen_on date,
                withdrawn_at       timestamptz,
                created_at         timestamptz NOT NULL DEFAULT now(),
                updated_at         timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id)
            );
            CREATE INDEX flushes_stage ON flushes (stage_id, happened_at DESC) WHERE withdrawn_at IS NULL;
            CREATE INDEX flushes_system ON flushes (system_id, happened_at DESC) WHERE withdrawn_at IS NULL;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('DROP TABLE flushes');
    }
};
