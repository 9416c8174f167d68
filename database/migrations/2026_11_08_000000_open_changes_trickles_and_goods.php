<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Changes that run with a pump off until flow is seen, trickles that run, and what stands on the keeper's shelf with
 * its label.
 *
 * Protects: a change with the pump off has a plan and a bound; flow is seen by somebody; one trickle runs in a
 * system at a time and ends after it began.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE changes
                ADD COLUMN pump_off     boolean NOT NULL DEFAULT false,
                ADD COLUMN planned_min  double precision CHECK (planned_min > 0),
                ADD COLUMN danger_min   double precision CHECK (danger_min > 0),
                ADD COLUMN danger_by    varchar(20),
                ADD COLUMN flow_seen_at timestamptz,
                ADD COLUMN flow_seen_by char(26) REFERENCES users (id),
                ADD COLUMN put_back     jsonb NOT NULL DEFAULT '[]',
                ADD CONSTRAINT changes_pump CHECK (NOT pump_off OR planned_min IS NOT NULL),
                ADD CONSTRAINT changes_flow CHECK ((flow_seen_at IS NULL) = (flow_seen_by IS NULL)),
                ADD CONSTRAINT changes_open CHECK (NOT pump_off OR flow_seen_at IS NOT NULL OR withdrawn_at IS NULL);
            CREATE INDEX changes_running ON changes (site_id) WHERE pump_off AND flow_seen_at IS NULL;

            CREATE TABLE trickles (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                user_id    char(26) REFERENCES users (id),
                water_id   char(26) REFERENCES waters (id),
                flow_l_h   double precision NOT NULL CHECK (flow_l_h > 0),
                started_at timestamptz NOT NULL,
                ended_at   timestamptz CHECK (ended_at >= started_at),
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id)
            );
            CREATE UNIQUE INDEX trickles_running ON trickles (system_id) WHERE ended_at IS NULL;
            CREATE INDEX trickles_system ON trickles (system_id, started_at DESC);

            CREATE TABLE goods (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL REFERENCES sites (id),
                kind       varchar(20) NOT NULL,
                name       varchar(60) NOT NULL CHECK (btrim(name) <> ''),
                label      jsonb NOT NULL DEFAULT '{}',
                cap_ml     double precision CHECK (cap_ml > 0),
                expires_on date,
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                UNIQUE (site_id, name)
            );
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            DROP TABLE goods, trickles;
            ALTER TABLE changes DROP CONSTRAINT changes_pump, DROP CONSTRAINT changes_flow,
                DROP CONSTRAINT changes_open, DROP COLUMN pump_off, DROP COLUMN planned_min,
                    DROP COLUMN danger_min, DROP COLUMN danger_by, DROP COLUMN flow_seen_at,
                        DROP COLUMN flow_seen_by, DROP COLUMN put_back;
            SQL
            ,
        );
    }
};
