# Sources that are compiled as one, since most of the time goes into headers: what stands in an unnamed namespace is
# named once in a unit.
function(sartorum_unit target unit)  # sources...
  target_sources(${target} PRIVATE ${ARGN})
  set_source_files_properties(${ARGN} PROPERTIES UNITY_GROUP ${unit})
endfunction()

function(sartorum_alone target)  # sources...
  target_sources(${target} PRIVATE ${ARGN})
  set_source_files_properties(${ARGN} PROPERTIES SKIP_UNITY_BUILD_INCLUSION ON SKIP_PRECOMPILE_HEADERS ON)
endfunction()

# What moc makes of headers with Q_OBJECT, compiled as one. It is told no include folders: following all of Qt and
# lib2geom takes it a hundred times as long, and no class of ours needs what stands in them.
function(sartorum_mocs target)  # headers...
  qt_wrap_cpp(made ${ARGN})
  target_sources(${target} PRIVATE ${ARGN} ${made})
  set_source_files_properties(${made} PROPERTIES UNITY_GROUP mocs)
  # In a target that waits for nothing, so that no source waits for the libraries below because of its moc.
  add_custom_target(mocs_of_${target} DEPENDS ${made})
endfunction()
