// A day at the bench, as an evening of the log.
#pragma once
#include "core/log/evening.h"
#include "core/run/run.h"

namespace uovo::log {

/// What was weighed, how many came out whole, what went wrong. @param text the log of the run, kept with it
Evening eveningOf(const run::Run& run, const Plan& plan, std::string text = {});

/// What is to be added to an evening that is kept, when its day goes on after its end and ends once more: what is new,
/// and counts that have become others, in the place of the old ones.
std::vector<Entry> sinceThen(const Evening& kept, const Evening& now);

/// The fault that a mishap is a case of; empty where it is none of ours.
std::string faultOf(run::Mishap mishap);
/// The lesson that practises what a fault comes from (core/lesson); empty: none.
std::string lessonOf(const std::string& fault);

}  // namespace uovo::log
