<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Jobs of service that are run step by step or booked as done, the keeper's own jobs and intervals.
 *
 * Protects: a run is closed once, and not before it was begun; what it cost the filter, the water and the stage goes
 * back with it when it is taken back.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE services (
                id           char(26) PRIMARY KEY,
                site_id      char(26) NOT NULL,
                system_id    char(26) NOT NULL,
                user_id      char(26) REFERENCES users (id),
                job          varchar(40) NOT NULL,
                job_name     varchar(80) NOT NULL,
                part_kind    varchar(6) NOT NULL CHECK (part_kind IN ('stage', 'pump', 'vessel', 'system')),
                part_id      char(26) NOT NULL,
                name         varchar(60) NOT NULL,
                way          varchar(9) NOT NULL CHECK (way IN ('stopped', 'throttled', 'told')),
                rinse        varchar(11) NOT NULL CHECK (rinse IN ('system', 'hosed', 'chlorinated')),
                steps        jsonb NOT NULL DEFAULT '[]',
                started_at   timestamptz NOT NULL,
                planned_min  double precision NOT NULL,
                flow_seen_at timestamptz,
                flow_seen_by char(26) REFERENCES users (id),
                flow_l_h     double precision CHECK (flow_l_h >= 0),
                ended_at     timestamptz CHECK (ended_at >= started_at),
                ended_by     char(26) REFERENCES users (id),
                water_l      double precision CHECK (water_l >= 0),
                cost         double precision CHECK (cost BETWEEN 0 AND 1e7),
                note         varchar(500),
                setback_id   char(26) REFERENCES setbacks (id) ON DELETE SET NULL,
                flush_id     char(26) REFERENCES flushes (id) ON DELETE SET NULL,
                change_id    char(26) REFERENCES changes (id) ON DELETE SET NULL,
                was          jsonb NOT NULL DEFAULT '{}',
                withdrawn_at timestamptz,
                created_at   timestamptz NOT NULL DEFAULT now(),
                updated_at   timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id)
            );
            CREATE INDEX services_system ON services (system_id, started_at DESC) WHERE withdrawn_at IS NULL;
            CREATE INDEX services_open ON services (site_id) WHERE ended_at IS NULL AND withdrawn_at IS NULL;

            CREATE TABLE own_jobs (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                name       varchar(80) NOT NULL CHECK (btrim(name) <> ''),
                part_kind  varchar(6) NOT NULL CHECK (part_kind IN ('stage', 'pump', 'vessel', 'system')),
                part_id    char(26) NOT NULL,
                every_d    double precision NOT NULL CHECK (every_d BETWEEN 1 AND 3650),
                minutes    double precision NOT NULL CHECK (minutes BETWEEN 1 AND 1440),
                position   integer NOT NULL DEFAULT 0,
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id)
            );
            CREATE INDEX own_jobs_system ON own_jobs (system_id);

            CREATE TABLE job_intervals (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                job        varchar(40) NOT NULL,
                part_id    char(26) NOT NULL,
                every_d    double precision CHECK (every_d BETWEEN 1 AND 3650),
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                UNIQUE (system_id, job, part_id),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id)
            );
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('DROP TABLE job_intervals; DROP TABLE own_jobs; DROP TABLE services;');
    }
};
