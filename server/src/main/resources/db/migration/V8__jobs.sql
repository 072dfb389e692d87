-- Long work: what is asked, how far it is, what came of it. Any server may tell of it; one does it.
create table job (
    id uuid primary key,
    kind text not null,
    who text not null,
    wanted text not null,
    question text not null,
    state text not null,
    done bigint not null,
    total bigint not null,
    message text,
    problems text,
    answer text,
    cancelled boolean not null,
    asked_at timestamp(6) with time zone not null,
    begun_at timestamp(6) with time zone not null,
    ended_at timestamp(6) with time zone
);
create index job_by_state on job (state, who);

-- What db-scheduler keeps of work that is due, and by whom it is done.
create table scheduled_tasks (
    task_name text not null,
    task_instance text not null,
    task_data bytea,
    execution_time timestamp with time zone not null,
    picked boolean not null,
    picked_by text,
    last_success timestamp with time zone,
    last_failure timestamp with time zone,
    consecutive_failures int,
    last_heartbeat timestamp with time zone,
    version bigint not null,
    priority smallint,
    primary key (task_name, task_instance)
);
create index scheduled_tasks_by_time on scheduled_tasks (execution_time);
create index scheduled_tasks_by_heartbeat on scheduled_tasks (last_heartbeat);
create index scheduled_tasks_by_priority on scheduled_tasks (priority desc, execution_time asc);
