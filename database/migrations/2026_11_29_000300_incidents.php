<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Trouble as work that is carried through: an incident, the steps that were done or skipped in it, and how it ended.
 *
 * Protects: one open incident a system, whoever opens it; it ends after it began, with its cause.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE incidents (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                user_id    char(26) REFERENCES users (id),
                event      varchar(20) NOT NULL,
                signs      jsonb NOT NULL DEFAULT '[]',
                opened_at  timestamptz NOT NULL,
                ended_at   timestamptz CHECK (ended_at >= opened_at),
                ended_by   char(26) REFERENCES users (id),
                cause      varchar(20),
                prevent    varchar(500),
                early_why  varchar(200),
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                UNIQUE (site_id, id),
                CHECK ((ended_at IS NULL) = (cause IS NULL))
            );
            CREATE UNIQUE INDEX incidents_open ON incidents (system_id) WHERE ended_at IS NULL;
            CREATE INDEX incidents_system ON incidents (system_id, opened_at DESC);

            CREATE TABLE incident_ticks (
                id          char(26) PRIMARY KEY,
                site_id     char(26) NOT NULL,
                system_id   char(26) NOT NULL,
                incident_id char(26) NOT NULL,
                user_id     char(26) REFERENCES users (id),
                step        varchar(100) NOT NULL,
                words       varchar(500) NOT NULL,
                what        varchar(7) NOT NULL CHECK (what IN ('done', 'skipped')),
                why         varchar(200),
                at          timestamptz NOT NULL,
                created_at  timestamptz NOT NULL DEFAULT now(),
                updated_at  timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id),
                FOREIGN KEY (site_id, incident_id) REFERENCES incidents (site_id, id) ON DELETE CASCADE,
                CHECK (what = 'done' OR why IS NOT NULL)
            );
            CREATE INDEX incident_ticks_incident ON incident_ticks (incident_id, at);

            ALTER TABLE sites ADD COLUMN emergency_call varchar(300);
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('ALTER TABLE sites DROP COLUMN emergency_call; DROP TABLE incident_ticks, incidents;');
    }
};
